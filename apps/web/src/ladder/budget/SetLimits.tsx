import type { AthleteLadderReply, LadderReply, PatternReply } from '@orthokin/contract';
import {
  BUDGETED,
  budgetSource,
  limitFrom,
  targetLimits,
  type Budgeted,
  type TargetBudget,
} from '@orthokin/core/budget';
import { withTargetLimits } from '@orthokin/core/pattern';
import { withLimit, withOwnLimit, withOwnLimits, type OwnLimits } from '@orthokin/core/progress';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { useSaveOwnLimits } from '../../api/ladder.js';
import { useSavePattern } from '../../api/patterns.js';
import { Button } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { capital, percent, secondsWithUnit } from '../../words/format.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { flightWords } from '../../words/budget.js';
import type { RallyPlan } from './usual-rally.js';
import { say } from '../../words/ladder.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 12px 16px;
  > div {
    min-width: 200px;
  }
`;

/** Sets budgets as limits with their source, for one athlete or for everybody. */
export function SetLimits({
  pattern,
  settled,
  plan,
  budgets,
}: {
  /** As it is for everybody. */
  pattern: PatternReply;
  /** The athlete's ladder, or everybody's. */
  settled: AthleteLadderReply | LadderReply;
  plan: RallyPlan;
  budgets: readonly TargetBudget[];
}): ReactElement {
  const [gate, setGate] = useState<Budgeted>('response');
  const [where, setWhere] = useState('all');
  const saveOwn = useSaveOwnLimits();
  const savePattern = useSavePattern();
  const athlete = 'athlete' in settled ? settled.athlete : null;
  const rungs = pattern.rungs.filter(({ number }) => where === 'all' || String(number) === where);
  const speed = gate === 'response' ? plan.speed : plan.ownSpeed;
  const words = (wayM: number, letter: string) =>
    flightWords({ ...plan, speed }, wayM, letter) +
    (gate === 'recovery' ? say('opponentsHandling2') : '');
  const found = rungs.flatMap((rung) => {
    const source = budgetSource(rung, gate, budgets, ({ wayM, letter }) => words(wayM, letter));
    return source ? [{ rung, limit: { ms: limitFrom(source), source } }] : [];
  });
  const save = () => {
    if ('athlete' in settled) {
      const limits = found.reduce<readonly OwnLimits[]>(
        (own, { rung, limit }) => withOwnLimit(own, rung.number, gate, limit),
        settled.ownLimits,
      );
      saveOwn.mutate({
        ...{ athleteId: settled.athlete.id, patternId: pattern.id },
        limits: [...limits],
      });
      return;
    }
    const { id, version, ...body } = pattern;
    const limitOf = new Map(found.map(({ rung, limit }) => [rung.number, limit]));
    const changed = pattern.rungs.map((rung) => {
      const limit = limitOf.get(rung.number);
      if (!limit) return rung;
      const own = targetLimits(rung, gate, budgets, ({ wayM, letter }) => words(wayM, letter));
      return withTargetLimits(withLimit(rung, gate, limit), gate, own);
    });
    savePattern.mutate({ patternId: id, version: version + 1, body: { ...body, rungs: changed } });
  };
  const { isPending, isSuccess, error } = athlete ? saveOwn : savePattern;
  const [first, last] = [found[0], found.at(-1)];
  const now = withOwnLimits(pattern.rungs, 'athlete' in settled ? settled.ownLimits : []);
  const before = first && now.find(({ number }) => number === first.rung.number)?.limitsMs[gate];
  return (
    <section>
      <Heading>{say('setLimits')}</Heading>
      <Row>
        <div>
          <SelectField label={say('limit')} value={gate} options={BUDGETED} onChange={setGate} />
        </div>
        <div>
          <SelectField
            label={say('on')}
            value={where}
            options={[
              ['all', say('everyRungItsOwnShare')] as const,
              ...pattern.rungs.map(
                ({ number, timeFactor }) =>
                  [
                    String(number),
                    say('rungAtShare', { number, share: percent(timeFactor) }),
                  ] as const,
              ),
            ]}
            onChange={setWhere}
          />
        </div>
        <Button weight="main" isDisabled={found.length === 0 || isPending} onPress={save}>
          {say('setWhich', { which: athlete ? athlete.name : say('everyoneObject') })}
        </Button>
      </Row>
      {first && last && (
        <Quiet style={{ marginTop: 10, maxWidth: '74ch' }}>
          {say('gateMsRungNumber', {
            gate: capital(gate),
            ms: secondsWithUnit(first.limit.ms),
            number: first.rung.number,
          })}
          {last !== first &&
            say('downMsRungNumber', {
              ms: secondsWithUnit(last.limit.ms),
              number: last.rung.number,
            })}
          {before !== undefined &&
            say('nowBeforeRungNumber', {
              before: secondsWithUnit(before),
              number: first.rung.number,
            })}
          {say(athlete ? 'limitHoldsEveryTargetPlaySo' : 'eachTargetGetsItsOwn')}
        </Quiet>
      )}
      {isSuccess && <p role="status">{say('savedItsSourceSetsRunFrom')}</p>}
      {error && <Notice>{error.message}</Notice>}
    </section>
  );
}
