import type { LadderReply } from '@orthokin/contract';
import { targetBudget } from '@orthokin/core/budget';
import { useState, type ReactElement } from 'react';
import { useGroupFilter } from '../../api/useGroupFilter.js';
import { Button } from '../../parts/Button.js';
import { FiguresTable, WordsCell } from '../../parts/FiguresTable.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { spareWords } from '../../words/budget.js';
import { say } from '../../words/ladder.js';
import { useOwnSpeed } from '../useOwnSpeed.js';
import type { RallyPlan } from './usual-rally.js';

/** Who in a squad reaches which target in time; loaded on demand. */
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
  return (
    <>
      {group.field && (
        <div style={{ maxWidth: 240, marginBottom: 10 }}>
          <SelectField {...group.field} />
        </div>
      )}
      {some.length === 0 ? (
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
            {some.map(({ athlete }) => (
              <ReachedRow key={athlete.id} {...{ athlete, pattern, plan }} />
            ))}
          </tbody>
        </FiguresTable>
      )}
      <Quiet>{say('eachOwnReach')}</Quiet>
    </>
  );
}

/** An athlete's time to spare. The travel line is fitted once, however often something is dragged. */
function ReachedRow({
  athlete,
  pattern,
  plan,
}: {
  athlete: LadderReply['everyone'][number]['athlete'];
  pattern: LadderReply['pattern'];
  plan: RallyPlan;
}): ReactElement {
  const speed = useOwnSpeed(athlete.id, pattern);
  return (
    <tr>
      <th scope="row">{athlete.name}</th>
      {speed?.ok ? (
        pattern.targets.map((target) => {
          const { letter, feasible } = targetBudget(target, plan, speed.value);
          return <td key={letter}>{feasible ? spareWords(feasible) : '–'}</td>;
        })
      ) : (
        <WordsCell colSpan={pattern.targets.length}>
          {say(speed === null ? 'readingTimes' : 'noOwnLine')}
        </WordsCell>
      )}
    </tr>
  );
}
