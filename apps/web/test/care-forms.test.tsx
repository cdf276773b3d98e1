/** @jest-environment jsdom */
import './support/text-encoder.js';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { AthleteCareReply, CareBody, CareReply, RestrictionBody } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { MemoryRouter } from 'react-router';
import { ClubContext } from '../src/api/club.js';
import { OnWord } from '../src/parts/OnWord.js';
import { Agreements } from '../src/people/care/Agreements.js';
import { Restrictions } from '../src/people/care/Restrictions.js';
import { today } from '../src/people/today.js';

const user = userEvent.setup();
const CLUB = { clubId: 'club', name: 'Club', sport: '', unit: 'metres' as const, faults: [] };

/** What was sent to the server, as it came. */
let sent: { method: string; body: CareBody }[] = [];
beforeEach(() => {
  sent = [];
  Object.assign(globalThis, {
    fetch: (_url: string, { method = 'GET', body }: { method?: string; body?: string } = {}) => {
      const read = JSON.parse(body ?? '{}') as CareBody;
      sent.push({ method, body: read });
      const reply = { id: 'new', ...read };
      return Promise.resolve({
        ...{ ok: true, status: 200, headers: new Map(), json: () => Promise.resolve(reply) },
      });
    },
  });
});

const show = (page: ReactElement) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ClubContext value={CLUB}>
        <MemoryRouter>{page}</MemoryRouter>
      </ClubContext>
    </QueryClientProvider>,
  );
const button = (name: string | RegExp) => screen.getByRole('button', { name });

const said = (more: Partial<CareReply>): CareReply => ({
  ...{ id: 's', athleteId: 'a', kind: 'restriction', by: 'Mara', at: '2026-03-01T10:00:00Z' },
  ...more,
});
const TURNING: RestrictionBody = {
  ...{ kind: 'no turning', leg: 'left', moves: [], most: null, from: '2026-03-01' },
  ...{ until: null, clinician: true, note: 'Knee.' },
};
const turning = said({ restriction: TURNING });

describe('restrictions', () => {
  test('say who wrote them, are lifted on somebody’s word, and can be put back', async () => {
    show(<Restrictions athleteId="a" said={[turning]} />);
    const line = screen.getByRole('listitem');
    expect(line.textContent).toContain('No turning on the left leg, until it is lifted');
    expect(line.textContent).toContain(
      'Knee. · only a clinician may lift it · written down by Mara',
    );
    await user.click(button('Lift: No turning on the left leg'));
    expect(button('Lift it')).toHaveProperty('disabled', true);
    await user.type(screen.getByRole('textbox', { name: 'On which clinician’s word?' }), 'Dr Sand');
    await user.click(button('Lift it'));
    await waitFor(() => expect(sent[0]?.body.takenBack?.by).toBe('Dr Sand'));
    expect(sent[0]?.body.restriction).toEqual(turning.restriction);
    await user.click(button('Put it back'));
    await waitFor(() => expect(sent.at(-1)?.body.takenBack).toBeNull());
  });

  test('are over after their last day, and what hurts is one by itself', () => {
    const over = said({
      ...{ id: 'over' },
      restriction: { ...TURNING, until: '2026-03-09' },
    });
    const hurts = said({
      ...{ id: 'h', kind: 'check', restriction: null },
      check: { check: 'backpedal', leg: null, result: 'hurts', day: '2026-03-02' },
    });
    show(<Restrictions athleteId="a" said={[over, hurts]} />);
    expect(screen.getAllByRole('listitem').map((line) => line.textContent)).toEqual([
      expect.stringMatching(/^No moving back.*It hurt when it was looked at on/),
    ]);
    expect(screen.getByRole('link', { name: 'Look again' })).toBeTruthy();
  });

  test('begin today, and hold until they are lifted', async () => {
    show(<Restrictions athleteId="a" said={[]} />);
    expect(screen.getByText('Nothing is restricted.')).toBeTruthy();
    await user.click(button('Add a restriction'));
    await user.type(screen.getByRole('textbox', { name: /Why, and on whose word/ }), ' Ankle. ');
    await user.click(button('Write it down'));
    await waitFor(() =>
      expect(sent[0]?.body).toMatchObject({
        ...{ athleteId: 'a', kind: 'restriction' },
        restriction: { kind: 'no jumping', leg: null, from: today(), until: null, note: 'Ankle.' },
      }),
    );
  });
});

describe('a guardian’s agreements', () => {
  const care = (...all: CareReply[]): AthleteCareReply => ({
    ...{ said: all, bornOn: null, emergency: null, lastDay: null, faultsLately: [] },
  });
  const agreed = said({
    ...{ kind: 'agreement', restriction: null },
    agreement: {
      ...{
        to: 'training',
        day: '2026-01-01',
        until: null,
        guardian: 'Robin Vale',
        way: 'on paper',
      },
    },
  });

  test('are nobody’s business of age', () => {
    show(<Agreements athleteId="a" ageBand="adult" care={care()} />);
    expect(screen.queryByRole('region')).toBeNull();
  });

  test('stand for training and filming apart, and can be taken back', async () => {
    show(<Agreements athleteId="a" ageBand="under 13" care={care(agreed)} />);
    const [training, filming] = screen.getAllByRole('listitem').map((line) => line.textContent);
    expect([training, filming]).toEqual(['Training is agreed to.', 'Filming is not agreed to.']);
    await user.click(button('Take back what Robin Vale agreed to'));
    await waitFor(() => expect(sent[0]?.body.takenBack).toBeTruthy());
  });

  test('need a name', async () => {
    show(<Agreements athleteId="a" ageBand="under 13" care={care()} />);
    await user.click(button('Write an agreement down'));
    expect(button('Write it down')).toHaveProperty('disabled', true);
    await user.type(screen.getByRole('textbox', { name: 'Name of the guardian' }), ' Robin Vale ');
    await user.click(button('Write it down'));
    await waitFor(() =>
      expect(sent[0]?.body.agreement).toMatchObject({ guardian: 'Robin Vale', to: 'training' }),
    );
  });
});

test('a word is asked for, and an empty one is none', async () => {
  const onSay = jest.fn();
  show(<OnWord isPending={false} onSay={onSay} />);
  expect(button('On that word')).toHaveProperty('disabled', true);
  await user.type(screen.getByRole('textbox'), '  Dr Sand ');
  await user.click(button('On that word'));
  expect(onSay).toHaveBeenCalledWith('Dr Sand');
});
