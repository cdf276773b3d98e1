import { Together } from '../src/platform/work/together.js';

/** Readings that end when they are told to. */
class Readings {
  private readonly open: { done: (value: string) => void; fail: (error: Error) => void }[] = [];
  began = 0;

  readonly read = (): Promise<string> => {
    this.began += 1;
    return new Promise((done, fail) => this.open.push({ done, fail }));
  };

  end(value: string): void {
    this.open.shift()?.done(value);
  }

  fail(why: string): void {
    this.open.shift()?.fail(new Error(why));
  }
}

const settled = () => new Promise((done) => setImmediate(done));

let together: Together<string>;
let readings: Readings;
beforeEach(() => {
  together = new Together();
  readings = new Readings();
});
const ask = (key = 'page') => together.of(key, readings.read);

describe('those who ask for the same at the same moment', () => {
  test('are given what was read after they asked, by one reading for all of them', async () => {
    const first = ask();
    const crowd = [ask(), ask(), ask()];
    expect(readings.began).toBe(1);
    readings.end('before a rep');
    expect(await first).toBe('before a rep');
    await settled();
    expect(readings.began).toBe(2);
    // Whoever comes while that is read is not given it either.
    const late = ask();
    readings.end('after it');
    expect(await Promise.all(crowd)).toEqual(['after it', 'after it', 'after it']);
    await settled();
    readings.end('later still');
    expect(await late).toBe('later still');
    expect(readings.began).toBe(3);
  });

  test('wait for nobody who asks for something else', async () => {
    const one = ask('one');
    const other = ask('other');
    expect(readings.began).toBe(2);
    readings.end('1');
    readings.end('2');
    expect(await Promise.all([one, other])).toEqual(['1', '2']);
  });

  test('are read anew when what was read before them failed, and fail together', async () => {
    const first = ask();
    const crowd = [ask(), ask()];
    readings.fail('gone');
    await expect(first).rejects.toThrow('gone');
    await settled();
    readings.fail('gone again');
    for (const each of crowd) await expect(each).rejects.toThrow('gone again');
    // Nothing of it is left: whoever comes now begins at once.
    const after = ask();
    expect(readings.began).toBe(3);
    readings.end('well');
    expect(await after).toBe('well');
  });
});
