import type { AthleteLadderReply } from '@orthokin/contract';
import { limitFrom, recordOf } from '@orthokin/core/budget';
import {
  GATED_DURATIONS,
  type GatedDuration,
  type LimitSource,
  type RecordKind,
} from '@orthokin/core/pattern';
import type { OwnLimits as Limits } from '@orthokin/core/progress';
import { problemSentence, type Result } from '@orthokin/core/result';
import { useState, type ReactElement } from 'react';
import { useSaveOwnLimits } from '../../club/queries.js';
import { Button } from '../../parts/Button.js';
import { Fields } from '../../parts/form/Fields.js';
import { NumberField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { capital, secondsWithUnit } from '../../parts/format.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { usePooledReps } from '../usePooledReps.js';
import { sourceWords } from '../words/limit-words.js';

const FROM_WORDS: readonly (readonly [from: From, words: string])[] = [
  ['best quartile', 'their own best quartile'],
  ['median', 'their own median'],
  ['coach', 'your own number'],
  ['rung', 'the rung, as for everyone'],
];
type From = RecordKind | 'coach' | 'rung';

interface Wished {
  readonly source: LimitSource;
  readonly ms: number;
}

/** The limits with one of them set, or given back to the rung. */
function withLimit(
  kept: readonly Limits[],
  rung: number,
  gate: GatedDuration,
  wished: Wished | null,
): Limits[] {
  const before = kept.find((own) => own.rung === rung);
  const { [gate]: _ms, ...limitsMs } = before?.limitsMs ?? {};
  const { [gate]: _source, ...limitSources } = before?.limitSources ?? {};
  const own = wished
    ? {
        rung,
        limitsMs: { ...limitsMs, [gate]: wished.ms },
        limitSources: { ...limitSources, [gate]: wished.source },
      }
    : { rung, limitsMs, limitSources };
  const others = kept.filter((each) => each.rung !== rung);
  return Object.keys(own.limitsMs).length > 0 ? [...others, own] : others;
}

/** Limits for this athlete alone: from their own record, or the coach's number. */
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
  const wished: Result<Wished> | null =
    from === 'rung'
      ? null
      : from === 'coach'
        ? { ok: true, value: { source: { kind: 'coach' }, ms: numberMs } }
        : recorded(timesMs, from, factor);
  const own = ownLimits as readonly Limits[];
  const set = () => {
    if (wished && !wished.ok) return;
    const limits = withLimit(own, rung, gate, wished?.value ?? null);
    save.mutate({
      athleteId: athlete.id,
      patternId: pattern.id,
      limits: limits,
    });
  };
  return (
    <section aria-label="Limits of their own">
      <Heading>Limits of {athlete.name}’s own</Heading>
      <Fields>
        <SelectField
          label="On rung"
          value={String(rung)}
          options={pattern.rungs.map(
            ({ number, name }) => [String(number), `${number}: ${name}`] as const,
          )}
          onChange={(number) => setRung(Number(number))}
        />
        <SelectField label="Limit of" value={gate} options={GATED_DURATIONS} onChange={setGate} />
        <SelectField label="From" value={from} options={FROM_WORDS} onChange={setFrom} />
        {(from === 'median' || from === 'best quartile') && (
          <NumberField
            label="Times"
            unit="%"
            min={50}
            max={200}
            value={100 * factor}
            onChange={(percent) => setFactor(percent / 100)}
          />
        )}
        {from === 'coach' && (
          <NumberField
            label="Seconds"
            unit="s"
            decimals={2}
            min={0.05}
            max={30}
            value={numberMs / 1000}
            onChange={(s) => setCoachMs(Math.round(1000 * s))}
          />
        )}
        <Button isDisabled={save.isPending || wished?.ok === false} onPress={set}>
          {from === 'rung' ? 'Give it back to the rung' : 'Set it'}
        </Button>
      </Fields>
      <Quiet style={{ marginTop: 8, fontSize: 15 }} role="status">
        {capital(gate)} on rung {rung}:{' '}
        {now === undefined
          ? 'no limit now'
          : `${secondsWithUnit(now)} now, ${sourceWords(asked?.limitSources[gate])}`}
        .{' '}
        {wished &&
          (wished.ok
            ? `It would be ${secondsWithUnit(wished.value.ms)}, ${sourceWords(wished.value.source)}.`
            : problemSentence(wished.problem))}
      </Quiet>
      {save.error && <Notice>{save.error.message}</Notice>}
    </section>
  );
}

function recorded(timesMs: readonly number[], of: RecordKind, factor: number): Result<Wished> {
  const source = recordOf(timesMs, of, factor);
  return source.ok
    ? { ok: true, value: { source: source.value, ms: limitFrom(source.value) } }
    : source;
}
