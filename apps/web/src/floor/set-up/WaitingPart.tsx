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
import { say } from '../../words/floor.js';
import { foreperiodWords, homeWords } from '../../words/set-up.js';

const PACE_WORDS: Readonly<Record<Pace['kind'], string>> = {
  self: say('ownAfterEachHome'),
  fixed: say('fixedEverySoOften'),
  demand: say('demandMatch'),
  staircase: say('staircaseMovesItself'),
};
/** A rally's usual rhythm, if nothing is known about the match. */
const USUAL_EVERY_MS = 3000;
/** A staircase starts this much easier than its goal. */
const EASIER = 1.25;

const secondsOf = (ms: number): string => `${(ms / 1000).toFixed(1)} s`;

/** The wait, in words. */
export function waitingWords({ foreperiod, pace, homeRule, maxRun }: Conditions): string {
  const { kind, leastMs, mostMs } = foreperiod;
  const range =
    kind === 'fixed'
      ? secondsOf(leastMs)
      : say('leastmsSecondsofWhich', {
          leastMs: (leastMs / 1000).toFixed(1),
          secondsOf: secondsOf(mostMs),
          which: kind === 'non-ageing' ? say('notAgeing') : '',
        });
  const wait =
    pace.everyMs === null
      ? say('rangeFromHomeCue', { range })
      : pace.kind === 'staircase'
        ? say('cueEverySecondsofFirstQuickerAfter', {
            secondsOf: secondsOf(pace.everyMs),
            passesInARow: pace.steps?.passesInARow ?? 0,
          })
        : say('cueEverySecondsof', { secondsOf: secondsOf(pace.everyMs) });
  return say('waitMostMaxrunOneRowHomerule', { wait, maxRun, homeRule: homeWords(homeRule) });
}

/** Chooses the wait, the pace, and what counts as home. */
export function WaitingPart({
  conditions,
  demandMs,
  steps,
  onChange,
}: {
  conditions: Conditions;
  /** Time between cues by this rung's limits; `null` if they do not determine it. */
  demandMs: number | null;
  /** The ladder's settings for a staircase. */
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
    <Choice title={say('waitingPace')} says={waitingWords(conditions)}>
      <Fields>
        <SelectField
          label={say('fromReadyCue')}
          value={foreperiod.kind}
          options={FOREPERIOD_KINDS.map((kind) => [kind, foreperiodWords(kind)] as const)}
          onChange={(kind) => onChange({ foreperiod: { ...foreperiod, kind } })}
        />
        <SecondsField
          label={foreperiod.kind === 'fixed' ? say('wait') : say('shortestWait')}
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
            label={say('longestWait')}
            decimals={1}
            minMs={foreperiod.leastMs}
            maxMs={60000}
            valueMs={foreperiod.mostMs}
            onChange={(ms) => onChange({ foreperiod: { ...foreperiod, mostMs: ms } })}
          />
        )}
        <CountField
          label={say('mostRow')}
          min={1}
          max={10}
          value={maxRun}
          onChange={(most) => onChange({ maxRun: most })}
        />
        <SelectField
          label={say('pace')}
          value={pace.kind}
          options={PACE_KINDS.map((kind) => [kind, PACE_WORDS[kind]] as const)}
          onChange={choosePace}
        />
        {pace.everyMs !== null && (
          <SecondsField
            label={pace.kind === 'staircase' ? say('cueEveryFirst') : say('cueEvery')}
            decimals={1}
            minMs={500}
            maxMs={60000}
            valueMs={pace.everyMs}
            onChange={(ms) => onChange({ pace: { ...pace, everyMs: ms } })}
          />
        )}
        <SelectField
          label={say('home')}
          value={homeRule}
          options={HOME_RULES.map((rule) => [rule, homeWords(rule)] as const)}
          onChange={(rule) => onChange({ homeRule: rule })}
        />
      </Fields>
    </Choice>
  );
}
