import { FOREPERIOD_KINDS } from '@orthokin/core/cue';
import {
  HOME_RULES,
  PACE_KINDS,
  type Conditions,
  type Pace,
  type StaircaseSteps,
} from '@orthokin/core/drill';
import type { ReactElement } from 'react';
import { NumberField } from '../../parts/form/NumberFields.js';
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
  const inSeconds = (ms: number) => ms / 1000;
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
        <NumberField
          label={foreperiod.kind === 'fixed' ? 'Wait' : 'Shortest wait'}
          unit="s"
          decimals={1}
          min={0}
          max={30}
          value={inSeconds(foreperiod.leastMs)}
          onChange={(s) =>
            onChange({
              foreperiod: {
                ...foreperiod,
                leastMs: 1000 * s,
                mostMs: Math.max(foreperiod.mostMs, 1000 * s),
              },
            })
          }
        />
        {foreperiod.kind !== 'fixed' && (
          <NumberField
            label="Longest wait"
            unit="s"
            decimals={1}
            min={inSeconds(foreperiod.leastMs)}
            max={60}
            value={inSeconds(foreperiod.mostMs)}
            onChange={(s) => onChange({ foreperiod: { ...foreperiod, mostMs: 1000 * s } })}
          />
        )}
        <NumberField
          label="Most in a row"
          unit=""
          min={1}
          max={10}
          value={maxRun}
          onChange={(most) => onChange({ maxRun: Math.round(most) })}
        />
        <SelectField
          label="Pace"
          value={pace.kind}
          options={PACE_KINDS.map((kind) => [kind, PACE_WORDS[kind]] as const)}
          onChange={choosePace}
        />
        {pace.everyMs !== null && (
          <NumberField
            label={pace.kind === 'staircase' ? 'A cue every, at first' : 'A cue every'}
            unit="s"
            decimals={1}
            min={0.5}
            max={60}
            value={inSeconds(pace.everyMs)}
            onChange={(s) => onChange({ pace: { ...pace, everyMs: 1000 * s } })}
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
