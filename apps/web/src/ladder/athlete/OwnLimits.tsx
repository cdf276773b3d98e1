import type { AthleteLadderReply } from '@orthokin/contract';
import { limitFrom, lineLimits, recordOf } from '@orthokin/core/budget';
import {
  GATED_DURATIONS,
  type GatedDuration,
  type RecordKind,
  type TargetLimit,
} from '@orthokin/core/pattern';
import { withOwnLimit, type SourcedLimit } from '@orthokin/core/progress';
import { problemSentence, wrong, type Result } from '@orthokin/core/result';
import { useState, type ReactElement } from 'react';
import { useSaveOwnLimits } from '../../api/ladder.js';
import { Button } from '../../parts/Button.js';
import { Fields } from '../../parts/form/Fields.js';
import { SecondsField, ShareField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { capital, seconds, secondsWithUnit } from '../../words/format.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { useOwnSpeed } from '../useOwnSpeed.js';
import { usePooledReps } from '../usePooledReps.js';
import { sourceWords } from '../../words/limit.js';
import { say } from '../../words/ladder.js';

const FROM_WORDS: readonly (readonly [from: From, words: string])[] = [
  ['best quartile', say('theirOwnBestQuartile')],
  ['median', say('theirOwnMedian')],
  ['own line', say('theirOwnLine')],
  ['coach', say('yourOwnNumber')],
  ['rung', say('rungEveryone')],
];
type From = RecordKind | 'own line' | 'coach' | 'rung';

/** This athlete's own limits: from their record, or the coach's numbers. */
export function OwnLimits({ ladder }: { ladder: AthleteLadderReply }): ReactElement {
  const { athlete, pattern, ownLimits, rung: here } = ladder;
  const [rung, setRung] = useState(here);
  const [gate, setGate] = useState<GatedDuration>('recovery');
  const [from, setFrom] = useState<From>('best quartile');
  const [factor, setFactor] = useState(1);
  const asked = pattern.rungs.find(({ number }) => number === rung);
  const [coachMs, setCoachMs] = useState<number | null>(null);
  const reps = usePooledReps(athlete.id, pattern.id, gate);
  const save = useSaveOwnLimits();
  const now = asked?.limitsMs[gate];
  const numberMs = coachMs ?? now ?? 1000;
  const timesMs = (reps?.[gate] ?? []).filter((ms) => ms !== null);
  const speed = useOwnSpeed(athlete.id, pattern);
  const byLine =
    from === 'own line' && asked && speed?.ok
      ? lineLimits(asked, pattern, speed.value, factor)
      : [];
  const wished: Result<SourcedLimit> | null =
    from === 'rung'
      ? null
      : from === 'own line'
        ? speed && (speed.ok ? widest(byLine) : speed)
        : from === 'coach'
          ? { ok: true, value: { source: { kind: 'coach' }, ms: numberMs } }
          : recorded(timesMs, from, factor);
  const set = () => {
    if (wished && !wished.ok) return;
    if (from !== 'rung' && !wished) return;
    const limits = withOwnLimit(ownLimits, rung, gate, wished?.value ?? null, byLine);
    save.mutate({
      athleteId: athlete.id,
      patternId: pattern.id,
      limits: limits,
    });
  };
  return (
    <section aria-label={say('limitsTheirOwn')}>
      <Heading>{say('limitsAthleteSOwn', { athlete: athlete.name })}</Heading>
      <Fields>
        <SelectField
          label={say('rung2')}
          value={String(rung)}
          options={pattern.rungs.map(
            ({ number, name }) => [String(number), `${number}: ${name}`] as const,
          )}
          onChange={(number) => setRung(Number(number))}
        />
        <SelectField
          label={say('limit')}
          value={gate}
          options={GATED_DURATIONS}
          onChange={(chosen) => {
            setGate(chosen);
            if (chosen !== 'response' && from === 'own line') setFrom('best quartile');
          }}
        />
        <SelectField
          label={say('from')}
          value={from}
          options={FROM_WORDS.filter(([each]) => each !== 'own line' || gate === 'response')}
          onChange={setFrom}
        />
        {(from === 'median' || from === 'best quartile' || from === 'own line') && (
          <ShareField
            label={say('times')}
            min={0.5}
            max={2}
            value={factor}
            onChange={(share) => setFactor(share)}
          />
        )}
        {from === 'coach' && (
          <SecondsField
            label={say('seconds')}
            minMs={50}
            maxMs={30000}
            valueMs={numberMs}
            onChange={(ms) => setCoachMs(ms)}
          />
        )}
        <Button isDisabled={save.isPending || wished?.ok === false} onPress={set}>
          {from === 'rung' ? say('giveBackRung') : say('set')}
        </Button>
      </Fields>
      <Quiet style={{ marginTop: 8, fontSize: 15 }} role="status">
        {say('gateRungRungWhich', {
          gate: capital(gate),
          rung,
          which:
            now === undefined
              ? say('noLimitNow')
              : say('nowNowSourcewords', {
                  now: secondsWithUnit(now),
                  sourceWords: sourceWords(asked?.limitSources[gate]),
                }),
        })}{' '}
        {wished &&
          (wished.ok
            ? say('wouldMsSourcewords', {
                ms: secondsWithUnit(wished.value.ms),
                sourceWords: sourceWords(wished.value.source),
              })
            : problemSentence(wished.problem))}{' '}
        {byLine.length > 1 && eachTarget(byLine)}
      </Quiet>
      {save.error && <Notice>{save.error.message}</Notice>}
    </section>
  );
}

/** The most generous of some targets' limits: it becomes the rung's, beside those of single targets. */
function widest(limits: readonly TargetLimit[]): Result<SourcedLimit> {
  const [most] = [...limits].sort((a, b) => b.limitMs - a.limitMs);
  return most
    ? { ok: true, value: { ms: most.limitMs, source: most.source } }
    : wrong('targets', 0, say('aTargetInPlay'));
}

const eachTarget = (limits: readonly TargetLimit[]): string =>
  say('eachTargetGets', {
    list: limits.map(({ target, limitMs }) => `${target} ${seconds(limitMs)}`).join(', '),
  });

function recorded(
  timesMs: readonly number[],
  of: RecordKind,
  factor: number,
): Result<SourcedLimit> {
  const source = recordOf(timesMs, of, factor);
  return source.ok
    ? { ok: true, value: { source: source.value, ms: limitFrom(source.value) } }
    : source;
}
