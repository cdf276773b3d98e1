import { pathOf, ROUTES } from '@orthokin/contract/routes';

test('a path is filled in by name, whatever is in its parameters', () => {
  expect(pathOf(ROUTES.clubs, {})).toBe('clubs');
  expect(pathOf(ROUTES.recordRep, { clubId: 'c', setId: 's', repId: 'r' })).toBe(
    'clubs/c/sets/s/reps/r',
  );
  expect(pathOf(ROUTES.patternVersion, { clubId: 'c', patternId: 'p', version: 3 })).toBe(
    'clubs/c/patterns/p/versions/3',
  );
  expect(pathOf(ROUTES.squad, { clubId: '../a b?c' })).toBe('clubs/..%2Fa%20b%3Fc/squad');
});

test('no two requests have the same method and path', () => {
  const all = Object.values(ROUTES).map(({ method, path }) => `${method} ${path}`);
  expect(new Set(all).size).toBe(all.length);
});

test('only the list of clubs, and what is of no club, stands outside a club', () => {
  const outside = Object.values(ROUTES)
    .map(({ path }) => path as string)
    .filter((path) => !path.startsWith('clubs/:clubId'));
  expect(new Set(outside)).toEqual(
    new Set(['clubs', 'demo', 'pattern.schema.json', 'reps-dictionary.csv', 'sets-dictionary.csv']),
  );
});
