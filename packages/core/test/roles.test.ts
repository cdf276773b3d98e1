import fc from 'fast-check';
import { PASSWORD_LENGTH, weakPassword } from '@orthokin/core/people';

const [SHORTEST, LONGEST] = PASSWORD_LENGTH;

test.each([
  ['', 'too short'],
  ['123456789', 'too short'],
  ['x'.repeat(LONGEST + 1), 'too long'],
  ['aaaaaaaaaaaa', 'one thing over and over'],
  ['abcabcabcabc', 'one thing over and over'],
  ['Mara@Example.org', 'the address'],
  ['rowan.hale123', 'the address'],
  ['four quick corners', null],
  ['Füße schnell, Kopf ruhig', null],
])('%s is %s', (password, weak) => {
  const email = password.startsWith('rowan') ? 'rowan.hale@example.org' : 'mara@example.org';
  expect(weakPassword(password, email)).toBe(weak);
});

test('any sentence of the right length will do, whoever’s it is', () => {
  const words = fc.array(fc.string({ unit: 'grapheme', minLength: 3, maxLength: 9 }), {
    ...{ minLength: 4, maxLength: 12 },
  });
  fc.assert(
    fc.property(words, (some) => {
      const password = `${some.join(' ')} quick`;
      const length = [...password].length;
      fc.pre(length >= SHORTEST && length <= LONGEST);
      expect(weakPassword(password, 'somebody@example.org')).toBeNull();
    }),
  );
});
