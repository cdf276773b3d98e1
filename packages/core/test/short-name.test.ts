import fc from 'fast-check';
import { shortName, withoutName } from '../src/people/index.js';

test.each([
  ['Slower side: Ada, Juno', 'Ada Reed', 'Slower side: …, Juno'],
  ['Lean: Élodie, Åke and 2 more', 'Élodie Roux', 'Lean: …, Åke and 2 more'],
  ['Lean: J.R., Juno', 'J.R. Mole', 'Lean: …, Juno'],
  ['Lean: Adam, Nada', 'Ada', 'Lean: Adam, Nada'],
  ['Lean: (Ada)', '(Ada) Reed', 'Lean: …'],
  ['Ada: Ada', 'Ada Reed', '…: …'],
  ['Warm-up', '', 'Warm-up'],
])('%s without %s is %s', (title, name, left) => {
  expect(withoutName(title, name)).toBe(left);
});

test('whatever somebody is called, a list of names has it no more, and has the others', () => {
  const letters = fc.stringMatching(/^[A-Z][a-zé.$*+?()[\]{}|^\\/-]{1,8}$/);
  fc.assert(
    fc.property(letters, fc.array(letters, { maxLength: 4 }), (called, others) => {
      const rest = others.filter((other) => other !== called);
      const left = withoutName([called, ...rest].join(', '), `${called} Reed`).split(', ');
      expect(left[0]).toBe('…');
      expect(left).not.toContain(shortName(`${called} Reed`));
    }),
  );
});
