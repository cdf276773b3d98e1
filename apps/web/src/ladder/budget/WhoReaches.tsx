import type { LadderReply } from '@orthokin/contract';
import { ownSpeedOf, targetBudget, type TargetBudget } from '@orthokin/core/budget';
import { useMemo, useState, type ReactElement } from 'react';
import { useGroupFilter } from '../../api/useGroupFilter.js';
import { Button } from '../../parts/Button.js';
import { FiguresTable, WordsCell } from '../../parts/FiguresTable.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { spareWords } from '../../words/budget.js';
import { say } from '../../words/ladder.js';
import { usePooledRepsOf } from '../usePooledReps.js';
import type { RallyPlan } from './usual-rally.js';

/** Who of a group reaches which target in time; read when it is asked for. */
export function WhoReaches({
  ladder,
  plan,
}: {
  ladder: LadderReply;
  plan: RallyPlan;
}): ReactElement {
  const [isAsked, ask] = useState(false);
  return (
    <section>
      <Heading>{say('whoReaches')}</Heading>
      {isAsked ? (
        <Reached ladder={ladder} plan={plan} />
      ) : (
        <Button onPress={() => ask(true)}>{say('showWhoReaches')}</Button>
      )}
    </section>
  );
}

function Reached({
  ladder: { pattern, everyone },
  plan,
}: {
  ladder: LadderReply;
  plan: RallyPlan;
}): ReactElement {
  const group = useGroupFilter();
  const some = group.of(everyone, ({ athlete }) => athlete.id);
  const reps = usePooledRepsOf(
    some.map(({ athlete }) => athlete.id),
    pattern.id,
    'travel',
  );
  const speeds = useMemo(
    () => reps.map((each) => (each ? ownSpeedOf(each, pattern) : null)),
    [reps, pattern],
  );
  const lines = some.map(({ athlete }, i) => {
    const speed = speeds[i];
    const budgets: readonly TargetBudget[] = speed?.ok
      ? pattern.targets.map((target) => targetBudget(target, plan, speed.value))
      : [];
    return { athlete, budgets, isReading: reps[i] === undefined };
  });
  return (
    <>
      {group.field && (
        <div style={{ maxWidth: 240, marginBottom: 10 }}>
          <SelectField {...group.field} />
        </div>
      )}
      {lines.length === 0 ? (
        <Quiet>{say('nobodyOnLadder')}</Quiet>
      ) : (
        <FiguresTable caption={say('spareOfEach')}>
          <thead>
            <tr>
              <th scope="col">{say('athlete')}</th>
              {pattern.targets.map(({ letter, name }) => (
                <th key={letter} scope="col">
                  {say('targetNamed', { letter, name })}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.map(({ athlete, budgets, isReading }) => (
              <tr key={athlete.id}>
                <th scope="row">{athlete.name}</th>
                {budgets.length === 0 ? (
                  <WordsCell colSpan={pattern.targets.length}>
                    {say(isReading ? 'readingTimes' : 'noOwnLine')}
                  </WordsCell>
                ) : (
                  budgets.map(({ letter, feasible }) => (
                    <td key={letter} data-verdict={feasible?.verdict}>
                      {feasible ? spareWords(feasible) : '–'}
                    </td>
                  ))
                )}
              </tr>
            ))}
          </tbody>
        </FiguresTable>
      )}
    </>
  );
}
