import type { Role } from '@orthokin/core/people';
import { isFor, pathOf, ROUTES } from '@orthokin/contract/routes';

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
    new Set([
      ...['clubs', 'demo', 'pattern.schema.json', 'reps-dictionary.csv', 'sets-dictionary.csv'],
      // Who somebody is must be known before it is known whose.
      ...['me/passkeys', 'me/passkeys/new', 'me/passkeys/:passkeyId'],
      ...['sign-in/passkey', 'sign-in/passkey/new'],
      ...['me', 'me/password', 'sign-in', 'sign-out', 'try-role', 'invited', 'invited/accept'],
    ]),
  );
});

test('who may do more may do all that others may, and a device at the floor changes nothing but sets', () => {
  const routes = Object.values(ROUTES);
  const allowed = (role: Role) => routes.filter((route) => isFor(route, role));
  const most = ['owner', 'coach', 'assistant', 'floor'] as const;
  for (const [more, less] of [0, 1, 2].map((i) => [most[i], most[i + 1]] as const))
    expect(allowed(more ?? 'owner')).toEqual(expect.arrayContaining(allowed(less ?? 'floor')));
  const changing = allowed('floor').filter(({ method }) => method !== 'GET');
  expect(changing.map(({ path }) => path)).toEqual([
    ...['me/password', 'clubs/:clubId/devices/:deviceId', 'clubs/:clubId/sets/:setId'],
    ...['clubs/:clubId/sets/:setId/end', 'clubs/:clubId/sets/:setId/reps/:repId'],
  ]);
});

test('anyone at all reads only what is of no club, and signs in', () => {
  const open = Object.values(ROUTES).filter(({ may }) => may === 'anyone');
  expect(open.map(({ path }) => path).filter((path) => path.includes(':'))).toEqual([]);
});
