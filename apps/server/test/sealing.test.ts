import fc from 'fast-check';
import {
  readPrivateKeys,
  seal,
  sealedWith,
  unseal,
  type PrivateKey,
} from '../src/platform/storage/sealing.js';

const keyed = (name: string, digit: string): PrivateKey => {
  const [key] = readPrivateKeys(`${name}:${digit.repeat(64)}`);
  if (!key) throw new Error('No key.');
  return key;
};
const key = keyed('2026a', '1');
const other = keyed('2026b', '2');

describe('what is sealed', () => {
  test('opens to what it was with its key, and with no other', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        const sealed = seal(text, key);
        expect(unseal(sealed, [other, key])).toBe(text);
        expect(unseal(sealed, [other])).toBeNull();
        expect(unseal(sealed, [{ ...other, name: key.name }])).toBeNull();
        expect(sealedWith(sealed)).toBe('2026a');
      }),
    ));

  test('is the same each time, and different with another key', () => {
    expect(seal('Ankle.', key)).toBe(seal('Ankle.', key));
    expect(seal('Ankle.', key).slice(-12)).not.toBe(seal('Ankle.', other).slice(-12));
  });

  test('is refused when a single character of it has changed', () => {
    const sealed = seal('{"note":"Ankle, week three."}', key);
    for (let i = sealed.indexOf(':', 7) + 1; i < sealed.length - 2; i++) {
      const changed = sealed[i] === 'A' ? 'B' : 'A';
      expect(unseal(sealed.slice(0, i) + changed + sealed.slice(i + 1), [key])).toBeNull();
    }
  });

  test.each(['', 'sealed:', 'sealed:2026a:', 'sealed:2026a:AAAA', '"Ankle."', '{}'])(
    '%j is not',
    (text) => expect(unseal(text, [key])).toBeNull(),
  );
});

test.each(['2026a', '2026a:12', `:${'1'.repeat(64)}`, `a b:${'1'.repeat(64)}`])(
  'a key like %j is refused',
  (given) => expect(() => readPrivateKeys(given)).toThrow('PRIVATE_KEYS'),
);
