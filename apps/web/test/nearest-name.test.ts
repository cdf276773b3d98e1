import { nearestName } from '../src/review/files/nearest-name.js';

const CLUB = ['Amara Quill', 'Cass Ondry', 'Idris Fennimar', 'Juno Marlock'];

test.each([
  ['Amra Quil', 'Amara Quill'],
  ['IDRIS FENIMAR', 'Idris Fennimar'],
  ['Juno Marlok', 'Juno Marlock'],
  ['Somebody Else', null],
  ['C', null],
])('%s is probably %s', (given, meant) => expect(nearestName(given, CLUB)).toBe(meant));

test('in a club without people nobody is meant', () => {
  expect(nearestName('Amara', [])).toBeNull();
});
