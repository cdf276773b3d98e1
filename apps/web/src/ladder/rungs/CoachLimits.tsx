import { MOST_COACH_LIMITS, type CoachLimit, type Rung } from '@orthokin/core/pattern';
import { checkCoachEventName, LONGEST_EVENT_NAME } from '@orthokin/core/timing';
import { Trash2 } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { AddByName } from '../../parts/form/AddByName.js';
import { SecondsField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/ladder.js';

const Limit = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 14px;
  margin-bottom: 10px;
`;

/** Later than an hour before, sooner than an hour after, nobody asks: seconds are typed. */
const [LEAST_MS, MOST_MS] = [10, 30_000];
/** The default limit: this long before arrival. */
const FIRST = { from: 'arrival', limitMs: -100 } as const;

/** The reference and side of a limit. */
type Place = 'after cue' | 'before arriving' | 'after arriving';
const PLACES = [
  ['before arriving', say('beforeArriving')],
  ['after arriving', say('afterArriving')],
  ['after cue', say('afterCue')],
] as const satisfies readonly (readonly [Place, string])[];

const placeOf = ({ from, limitMs }: CoachLimit): Place => {
  if (from === 'cue') return 'after cue';
  return limitMs < 0 ? 'before arriving' : 'after arriving';
};

const at = (event: string, place: Place, ms: number): CoachLimit => ({
  ...{ event, from: place === 'after cue' ? 'cue' : 'arrival' },
  limitMs: place === 'before arriving' ? -ms : ms,
});

/** Limits for the coach's own events, which are marked on film. */
export function CoachLimits({
  rung,
  onChange,
}: {
  rung: Rung;
  onChange: (rung: Rung) => void;
}): ReactElement {
  const limits = rung.coachLimits ?? [];
  const set = (coachLimits: readonly CoachLimit[]) => onChange({ ...rung, coachLimits });
  const change = (index: number, limit: CoachLimit) =>
    set(limits.map((each, i) => (i === index ? limit : each)));
  const add = (given: string): boolean => {
    const checked = checkCoachEventName(
      given,
      limits.map(({ event }) => event),
    );
    if (checked.ok) set([...limits, { event: checked.value, ...FIRST }]);
    return checked.ok;
  };
  return (
    <section aria-label={say('ownEvents')}>
      <Quiet style={{ marginBottom: 6 }}>{say('ownEventsAsked')}</Quiet>
      {limits.map((limit, i) => (
        <Limit key={`${limit.event} ${limit.from}`}>
          <SecondsField
            label={say('ownEventBy', { event: limit.event })}
            minMs={LEAST_MS}
            maxMs={MOST_MS}
            valueMs={Math.abs(limit.limitMs)}
            onChange={(ms) => change(i, at(limit.event, placeOf(limit), ms))}
          />
          <SelectField
            label={say('ownEventPlace', { event: limit.event })}
            hideLabel
            value={placeOf(limit)}
            options={PLACES}
            onChange={(place) => change(i, at(limit.event, place, Math.abs(limit.limitMs)))}
          />
          <Button
            aria-label={say('ownEventNotAsked', { event: limit.event })}
            onPress={() => set(limits.filter((_, at) => at !== i))}
          >
            <Trash2 size={18} aria-hidden />
          </Button>
        </Limit>
      ))}
      {limits.length < MOST_COACH_LIMITS && (
        <AddByName
          label={say('ownEventName')}
          button={say('ownEventAsk')}
          maxLength={LONGEST_EVENT_NAME}
          onAdd={add}
          refused={(name) => say('ownEventRefused', { name })}
        />
      )}
    </section>
  );
}
