import { ROUTES } from '@orthokin/contract/routes';
import { call, isOvertaken, NotThere, Refused, send, Unreachable } from '../src/api/client.js';

interface Sent {
  readonly url: string;
  readonly init: RequestInit;
}

let sent: Sent[] = [];
let answer: () => Response = () => new Response('{}');
beforeEach(() => {
  sent = [];
  Object.assign(globalThis, {
    fetch: (url: string, init: RequestInit) => {
      sent.push({ url, init });
      return new Promise<Response>((done) => done(answer()));
    },
  });
});

const says = (status: number, body: unknown, headers: Record<string, string> = {}) => {
  answer = () => new Response(JSON.stringify(body), { status, headers });
};
const asked = () => call(ROUTES.removePlan, { clubId: 'c', planId: 'p/1' });
const refusal = async (): Promise<Refused> => {
  const error: unknown = await asked().then(
    () => null,
    (thrown: unknown) => thrown,
  );
  if (!(error instanceof Refused)) throw new Error(`It was ${String(error)}.`);
  return error;
};

test('a route is asked at its address, what stands in it made safe, with what it takes as JSON', async () => {
  says(200, { done: true });
  expect(await asked()).toEqual({ done: true });
  expect(sent[0]?.url).toBe('/api/clubs/c/plans/p%2F1');
  await call(ROUTES.archiveAthlete, { clubId: 'c', athleteId: 'a' }, { body: { archived: true } });
  expect(sent[1]?.init).toEqual({
    method: 'PUT',
    body: '{"archived":true}',
    headers: { 'Content-Type': 'application/json' },
  });
});

test('a file is sent as it is', async () => {
  says(200, {});
  const file = new Blob(['PK']);
  await send('POST', 'clubs', file);
  expect(sent[0]?.init.body).toBe(file);
  expect(sent[0]?.init.headers).toEqual({ 'Content-Type': 'application/zip' });
});

test('no answer, and one of whatever stands before a server that is away, is silence', async () => {
  answer = () => {
    throw new TypeError('Failed to fetch');
  };
  await expect(asked()).rejects.toThrow(Unreachable);
  for (const status of [502, 503, 504]) {
    says(status, { message: 'Bad gateway' });
    await expect(asked()).rejects.toThrow(Unreachable);
  }
});

test('a refusal says why, field by field', async () => {
  const problems = [{ field: 'minutes', given: '900', allowed: 'at most 480' }];
  says(400, { message: 'minutes: given 900, allowed at most 480.', problems });
  expect(await refusal()).toMatchObject({
    ...{ message: 'minutes: given 900, allowed at most 480.', status: 400, problems },
  });
  says(409, { message: 'It was changed.', problems: [{ field: 'revision', given: 2 }] });
  expect(isOvertaken(await refusal())).toBe(true);
  expect(isOvertaken(new Error('revision'))).toBe(false);
});

test('a fault of the server’s is named by its request, so that it can be found in the log', async () => {
  says(500, { message: 'Something is wrong here.' }, { 'X-Request-Id': 'r-7' });
  expect((await refusal()).message).toBe('Something is wrong here. (request r-7)');
  answer = () => new Response('<html>', { status: 500, statusText: 'Internal Server Error' });
  expect((await refusal()).message).toBe('Internal Server Error');
});

test('what only an address got wrong is an old address, not something somebody typed', async () => {
  says(404, { message: 'x', problems: [{ field: 'planId', given: 'p', allowed: 'a plan' }] });
  expect(await refusal()).toBeInstanceOf(NotThere);
  const more = [
    { field: 'planId', given: 'p', allowed: 'a plan' },
    { field: 'name', given: '', allowed: 'a name' },
  ];
  says(400, { message: 'x', problems: more });
  expect(await refusal()).not.toBeInstanceOf(NotThere);
});

test('what a role may not do is said as whoever has it is called', async () => {
  says(403, { message: 'x', problems: [{ field: 'role', given: 'floor', allowed: 'owners' }] });
  expect((await refusal()).message).toMatch(/^This is not for a device at the floor\./);
  says(403, { message: 'Another page.', problems: [] });
  expect((await refusal()).message).toBe('Another page.');
});
