import type { AthleteLadderReply, LadderReply, PatternReply } from '@orthokin/contract';
import { limitFrom } from '@orthokin/core/budget';
import type { GatedDuration, LimitSource, Rung } from '@orthokin/core/pattern';
import { withOwnLimits, type OwnLimits } from '@orthokin/core/progress';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { useSaveOwnLimits, useSavePattern } from '../../club/queries.js';
import { Button } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { capital, percent, secondsWithUnit } from '../../parts/format.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { flightWords } from './budget-words.js';
import type { RallyPlan, TargetBudget } from './plan.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px 16px;
  > div {
    min-width: 200px;
  }
`;

type Settable = Extract<GatedDuration, 'response' | 'recovery'>;

/** The budget of a rung is that of its tightest target: a limit holds for all of them. */
function tightest(
  rung: Rung,
  gate: Settable,
  budgets: readonly TargetBudget[],
): { readonly ms: number; readonly of: TargetBudget } | null {
  const timed = budgets.flatMap((of) => {
    if (!rung.targets.includes(of.letter)) return [];
    if (gate === 'response') return of.flight.ok ? [{ ms: 1000 * of.flight.value.timeS, of }] : [];
    return of.recovery.ok ? [{ ms: of.recovery.value.totalMs, of }] : [];
  });
  const [least] = timed.sort((a, b) => a.ms - b.ms);
  return least ?? null;
}

function sourceOf(
  rung: Rung,
  gate: Settable,
  budgets: readonly TargetBudget[],
  plan: RallyPlan,
): LimitSource | null {
  const least = tightest(rung, gate, budgets);
  if (!least) return null;
  const speed = gate === 'response' ? plan.speed : plan.ownSpeed;
  const words = flightWords({ ...plan, speed }, least.of.wayM, least.of.letter);
  return {
    ...{ kind: 'budget', factor: rung.timeFactor, budgetMs: Math.round(least.ms) },
    flight: gate === 'recovery' ? `${words}, and the opponent’s handling` : words,
  };
}

const withLimit = <T extends Pick<Rung, 'limitsMs' | 'limitSources'>>(
  to: T,
  gate: Settable,
  source: LimitSource,
): T => ({
  ...to,
  limitsMs: { ...to.limitsMs, [gate]: limitFrom(source) },
  limitSources: { ...to.limitSources, [gate]: source },
});

/** Budgets set as limits, with where they are from, for one athlete or for everyone. */
export function SetLimits({
  pattern,
  settled,
  plan,
  budgets,
}: {
  /** As it is for everyone. */
  pattern: PatternReply;
  /** The one athlete it is for, or everyone. */
  settled: AthleteLadderReply | LadderReply;
  plan: RallyPlan;
  budgets: readonly TargetBudget[];
}): ReactElement {
  const [gate, setGate] = useState<Settable>('response');
  const [where, setWhere] = useState('all');
  const saveOwn = useSaveOwnLimits();
  const savePattern = useSavePattern();
  const athlete = 'athlete' in settled ? settled.athlete : null;
  const rungs = pattern.rungs.filter(({ number }) => where === 'all' || String(number) === where);
  const found = rungs.flatMap((rung) => {
    const source = sourceOf(rung, gate, budgets, plan);
    return source ? [{ rung, source }] : [];
  });
  const save = () => {
    if ('athlete' in settled) {
      const kept = settled.ownLimits as readonly OwnLimits[];
      const changed = found.map(({ rung, source }) => {
        const before = kept.find((own) => own.rung === rung.number) ?? {
          ...{ rung: rung.number, limitsMs: {}, limitSources: {} },
        };
        return withLimit(before, gate, source);
      });
      const others = kept.filter(({ rung }) => !changed.some((own) => own.rung === rung));
      saveOwn.mutate({
        ...{ athleteId: settled.athlete.id, patternId: pattern.id },
        limits: [...others, ...changed].sort((a, b) => a.rung - b.rung),
      });
      return;
    }
    const { id, version, ...body } = pattern;
    const changed = pattern.rungs.map((rung) => {
      const own = found.find((each) => each.rung.number === rung.number);
      return own ? withLimit(rung, gate, own.source) : rung;
    });
    savePattern.mutate({
      patternId: id,
      version: version + 1,
      body: { ...body, rungs: changed },
    });
  };
  const { isPending, isSuccess, error } = athlete ? saveOwn : savePattern;
  const [first, last] = [found[0], found.at(-1)];
  const now = withOwnLimits(pattern.rungs, 'athlete' in settled ? settled.ownLimits : []);
  const before = first && now.find(({ number }) => number === first.rung.number)?.limitsMs[gate];
  return (
    <section>
      <Heading>Set as limits</Heading>
      <Row>
        <div>
          <SelectField
            label="Limit of"
            value={gate}
            options={['response', 'recovery'] as const}
            onChange={setGate}
          />
        </div>
        <div>
          <SelectField
            label="On"
            value={where}
            options={[
              ['all', 'every rung, by its own share'] as const,
              ...pattern.rungs.map(
                ({ number, timeFactor }) =>
                  [String(number), `rung ${number}, at ${percent(timeFactor)}`] as const,
              ),
            ]}
            onChange={setWhere}
          />
        </div>
        <Button weight="main" isDisabled={found.length === 0 || isPending} onPress={save}>
          Set for {athlete ? athlete.name : 'everyone'}
        </Button>
      </Row>
      {first && last && (
        <Quiet style={{ marginTop: 10, maxWidth: '74ch' }}>
          {capital(gate)}: {secondsWithUnit(limitFrom(first.source))} on rung {first.rung.number}
          {last !== first &&
            `, down to ${secondsWithUnit(limitFrom(last.source))} on rung ${last.rung.number}`}
          {before !== undefined && ` (now ${secondsWithUnit(before)} on rung ${first.rung.number})`}
          . A limit holds for every target in play, so the one that leaves least time sets it.
        </Quiet>
      )}
      {isSuccess && (
        <p role="status">
          Saved, with its source. Sets run from now on are held against it; what was shown before
          against other limits no longer counts.
        </p>
      )}
      {error && <Notice>{error.message}</Notice>}
    </section>
  );
}
