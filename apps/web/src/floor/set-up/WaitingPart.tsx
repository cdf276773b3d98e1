import { FOREPERIOD_KINDS } from '@orthokin/core/cue';
import {
  HOME_RULES,
  PACE_KINDS,
  type Conditions,
  type Pace,
  type StaircaseSteps,
} from '@orthokin/core/drill';
import type { ReactElement } from 'react';
import { CountField, SecondsField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Fields } from '../../parts/form/Fields.js';
import { Choice } from './Choice.js';

const PACE_WORDS: Readonly<Record<Pace['kind'], string>> = {
  self: 'own: after each home',
  fixed: 'fixed: every so often',
  demand: 'demand: as in the match',
  staircase: 'staircase: moves by itself',
};
/** Where nothing is known of the match yet: a rally's usual rhythm. */
const USUAL_EVERY_MS = 3000;
/** A staircase starts easier than what is wanted, so that it comes down to it. */
const EASIER = 1.25;

const secondsOf = (ms: number): string => `${(ms / 1000).toFixed(1)} s`;

/** The wait, in words. */
export function waitingWords({ foreperiod, pace, homeRule, maxRun }: Conditions): string {
  const { kind, leastMs, mostMs } = foreperiod;
  const range =
    kind === 'fixed'
      ? secondsOf(leastMs)
      : `${(leastMs / 1000).toFixed(1)} to ${secondsOf(mostMs)}${kind === 'non-ageing' ? ', not ageing' : ''}`;
  const wait =
    pace.everyMs === null
      ? `${range} from home to cue`
      : pace.kind === 'staircase'
        ? `a cue every ${secondsOf(pace.everyMs)} at first, quicker after ${pace.steps?.passesInARow ?? 0} passes, slower after a fail`
        : `a cue every ${secondsOf(pace.everyMs)}`;
  return `${wait}, at most ${maxRun} of one in a row, ${homeRule}`;
}

/** How long to wait, at whose pace, and what counts as home. */
export function WaitingPart({
  conditions,
  demandMs,
  steps,
  onChange,
}: {
  conditions: Conditions;
  /** From cue to cue as this rung's limits ask; `null` when they do not say. */
  demandMs: number | null;
  /** How a staircase steps, as this ladder has it. */
  steps: StaircaseSteps;
  onChange: (change: Partial<Conditions>) => void;
}): ReactElement {
  const { foreperiod, pace, maxRun, homeRule } = conditions;
  const choosePace = (kind: Pace['kind']) =>
    onChange({
      pace: {
        kind,
        everyMs:
          kind === 'self'
            ? null
            : kind === 'fixed'
              ? (pace.everyMs ?? USUAL_EVERY_MS)
              : (demandMs ?? USUAL_EVERY_MS) * (kind === 'staircase' ? EASIER : 1),
        ...(kind === 'staircase' && { steps }),
      },
    });
  return (
    <Choice title="Waiting and pace" says={waitingWords(conditions)}>
      <Fields>
        <SelectField
          label="From ready to cue"
          value={foreperiod.kind}
          options={FOREPERIOD_KINDS}
          onChange={(kind) => onChange({ foreperiod: { ...foreperiod, kind } })}
        />
        <SecondsField
          label={foreperiod.kind === 'fixed' ? 'Wait' : 'Shortest wait'}
          decimals={1}
          minMs={0}
          maxMs={30000}
          valueMs={foreperiod.leastMs}
          onChange={(ms) =>
            onChange({
              foreperiod: {
                ...foreperiod,
                leastMs: ms,
                mostMs: Math.max(foreperiod.mostMs, ms),
              },
            })
          }
        />
        {foreperiod.kind !== 'fixed' && (
          <SecondsField
            label="Longest wait"
            decimals={1}
            minMs={foreperiod.leastMs}
            maxMs={60000}
            valueMs={foreperiod.mostMs}
            onChange={(ms) => onChange({ foreperiod: { ...foreperiod, mostMs: ms } })}
          />
        )}
        <CountField
          label="Most in a row"
          min={1}
          max={10}
          value={maxRun}
          onChange={(most) => onChange({ maxRun: most })}
        />
        <SelectField
          label="Pace"
          value={pace.kind}
          options={PACE_KINDS.map((kind) => [kind, PACE_WORDS[kind]] as const)}
          onChange={choosePace}
        />
        {pace.everyMs !== null && (
          <SecondsField
            label={pace.kind === 'staircase' ? 'A cue every, at first' : 'A cue every'}
            decimals={1}
            minMs={500}
            maxMs={60000}
            valueMs={pace.everyMs}
            onChange={(ms) => onChange({ pace: { ...pace, everyMs: ms } })}
          />
        )}
        <SelectField
          label="Home"
          value={homeRule}
          options={HOME_RULES}
          onChange={(rule) => onChange({ homeRule: rule })}
        />
      </Fields>
    </Choice>
  );
}
