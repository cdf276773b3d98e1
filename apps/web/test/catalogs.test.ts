import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import IntlMessageFormat from 'intl-messageformat';
import { LOCALE } from '../src/words/locale.js';
import { speaker, type Catalog } from '../src/words/say.js';

const FOLDER = join(__dirname, '../src/words/en');
const SOURCE = join(__dirname, '../src');

const domains = readdirSync(FOLDER).map((file) => file.replace('.ts', ''));
const catalogOf = (domain: string): Catalog =>
  Object.values(jest.requireActual<Record<string, Catalog>>(join(FOLDER, `${domain}.ts`)))[0] ?? {};

/** Of a message taken apart: words have a value too, but only what is filled in has a type of its own. */
interface Element {
  readonly type: number;
  readonly value?: string;
  readonly options?: Readonly<Record<string, { readonly value: readonly Element[] }>>;
}
const WORDS = 0;

/** Names of what a message is filled in with. */
const paramsOf = (elements: readonly Element[]): string[] =>
  elements.flatMap(({ type, value, options = {} }) => [
    ...(type === WORDS || value === undefined ? [] : [value]),
    ...Object.values(options).flatMap((option) => paramsOf(option.value)),
  ]);

const elementsOf = (message: string): Element[] =>
  new IntlMessageFormat(message, LOCALE, undefined, { ignoreTag: true }).getAst();

const sourceFiles = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'en' ? [] : sourceFiles(path);
    return /\.tsx?$/.test(entry.name) ? [path] : [];
  });

/** The domains whose messages a file says, each with the file's text. */
const sayers = sourceFiles(SOURCE).flatMap((path) => {
  const text = readFileSync(path, 'utf8');
  return [
    /import \{[^}]*\bsay\b[^}]*\} from '[^']*\/words\/(?<domain>[\w-]+)\.js'/g,
    /import \{ \w+ as en \} from '\.\/en\/(?<domain>[\w-]+)\.js'/g,
  ].flatMap((importing) =>
    [...text.matchAll(importing)].map(({ groups }) => ({ domain: groups?.['domain'] ?? '', text })),
  );
});

describe.each(domains)('the messages of %s', (domain) => {
  const catalog = catalogOf(domain);

  test('are all well formed, and can be said with what they ask for', () => {
    const say = speaker(catalog);
    for (const [key, message] of Object.entries(catalog)) {
      const asked = [...new Set(paramsOf(elementsOf(message)))];
      const said = say(key, Object.fromEntries(asked.map((name) => [name, 2])));
      expect(said).not.toContain('{');
      expect(said.trim()).not.toBe('');
    }
  });

  test('are all said somewhere', () => {
    const text = sayers
      .filter(({ domain: own }) => own === domain)
      .map((file) => file.text)
      .join('\n');
    const never = Object.keys(catalog).filter((key) => !text.includes(`'${key}'`));
    expect(never).toEqual([]);
  });
});

test('every domain has one file of sentences, and one of messages', () => {
  const rooms = readdirSync(join(SOURCE, 'words'))
    .filter(
      (name) => name.endsWith('.ts') && !['say.ts', 'locale.ts', 'unbroken.ts'].includes(name),
    )
    .map((name) => name.replace('.ts', ''));
  expect(rooms).toEqual(domains);
});

test('a message with its parameters is plural where it must be', () => {
  const say = speaker({ reps: '{n, plural, one {# rep} other {# reps}} of {name}' });
  expect(say('reps', { n: 1, name: 'Wren' })).toBe('1 rep of Wren');
  expect(say('reps', { n: 1200, name: 'Wren' })).toBe('1,200 reps of Wren');
});
