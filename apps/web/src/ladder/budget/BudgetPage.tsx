import type { AthleteLadderReply, LadderReply } from '@orthokin/contract';
import {
  bestHome,
  targetBudget,
  tightestBudget,
  type OwnSpeed,
  type TargetBudget,
} from '@orthokin/core/budget';
import { problemSentence } from '@orthokin/core/result';
import { useDeferredValue, useMemo, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAthleteLadder, useLadder } from '../../api/ladder.js';
import { useRemembered } from '../../device/useRemembered.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { commaList, percent, seconds } from '../../words/format.js';
import { FiguresTable } from '../../parts/FiguresTable.js';
import { Failed } from '../../parts/Notice.js';
import { useAddress } from '../../parts/useAddress.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import {
  noRecoverySentence,
  ownReachSentence,
  ownSpeedSentence,
  plainSentence,
  reachSentence,
} from '../../words/budget.js';
import { BestHomePart } from './BestHomePart.js';
import { FlightForm } from './FlightForm.js';
import { usualRally, type RallyPlan } from './usual-rally.js';
import { movedHome } from './own-places.js';
import { ReachFloor } from './ReachFloor.js';
import { SetLimits } from './SetLimits.js';
import { useOwnReach, useOwnSpeed } from '../useOwnSpeed.js';
import { WhoReaches } from './WhoReaches.js';
import { say } from '../../words/ladder.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(300px, 0.6fr) minmax(0, 1fr);
  gap: 26px 44px;
  align-items: start;
  margin-top: 22px;
  .figures {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 22px;
    padding-left: 36px;
    border-left: 1px solid ${colour('rule')};
  }
  ul {
    margin: 0;
    padding-left: 20px;
    max-width: 76ch;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
    .figures {
      order: -1;
      padding: 0;
      border: 0;
    }
  }
`;

/** The time budget of each target, whether it suffices, and setting limits from it. */
export function BudgetPage(): ReactElement {
  const { patternId = '' } = useParams();
  const [params, change] = useAddress();
  const athleteId = params.get('athlete') ?? '';
  const ladder = useLadder(patternId);
  const own = useAthleteLadder(patternId, athleteId);
  const choose = (id: string) => change({ athlete: id === 'everyone' ? null : id });
  const error = ladder.error ?? own.error;
  if (!ladder.data || (athleteId !== '' && !own.data))
    return (
      <Page name={say('howMuchTimeThere2')}>
        {error ? (
          <Failed error={error} again={() => void ladder.refetch()} />
        ) : (
          <Quiet>{say('readingLadder')}</Quiet>
        )}
      </Page>
    );
  return <Budgets ladder={ladder.data} own={own.data ?? null} onChoose={choose} />;
}

/** The answer: which targets are out of reach, or the time to spare at the tightest. */
function headline(budgets: readonly TargetBudget[], own: OwnSpeed | null, name: string): string {
  const tight = tightestBudget(budgets);
  if (!tight?.flight.ok) return say('howMuchTimeThere');
  const { letter, flight, feasible } = tight;
  if (!own)
    return say('msSLetterWhereThereLeast', { ms: seconds(1000 * flight.value.timeS), letter });
  const out = budgets.filter(({ feasible }) => feasible?.verdict === 'no');
  if (out.length > 0)
    return say('outWhichOutNameSReach', {
      out: commaList(out.map(({ letter }) => letter)),
      which: out.length === 1 ? 'is' : 'are',
      name,
    });
  return say('everyTargetNameSReachLetter', {
    ...{ name, letter },
    spareMs: seconds(feasible?.spareMs ?? 0),
  });
}

function Budgets({
  ladder,
  own,
  onChoose,
}: {
  ladder: LadderReply;
  own: AthleteLadderReply | null;
  onChoose: (athleteId: string) => void;
}): ReactElement {
  const { pattern, everyone } = ladder;
  const [plan, keep] = useRemembered<RallyPlan>(`rally-${pattern.id}`, usualRally(pattern));
  // A dragged thing follows the finger at once; its figures follow as soon as they can.
  const settled = useDeferredValue(plan);
  const speed = useOwnSpeed(own?.athlete.id ?? '', pattern);
  const reach = useOwnReach(own?.athlete.id ?? '', pattern);
  const ownSpeed = own && speed?.ok ? speed.value : null;
  const budgets = useMemo(
    () => pattern.targets.map((target) => targetBudget(target, settled, ownSpeed)),
    [pattern, settled, ownSpeed],
  );
  const best = useMemo(
    () => (ownSpeed ? bestHome(pattern.targets, settled, ownSpeed) : null),
    [pattern, settled, ownSpeed],
  );
  const name = own?.athlete.name ?? '';
  const plain = plainSentence(budgets);
  const noRecovery = noRecoverySentence(budgets);
  return (
    <Page name={say('patternHowMuchTimeThere', { pattern: pattern.name })}>
      <Quiet>
        <Link to={`/ladder/${pattern.id}${own ? `/${own.athlete.id}` : ''}`}>
          {say('ladderPattern', { pattern: pattern.name })}
        </Link>
      </Quiet>
      <Headline>{headline(budgets, ownSpeed, name)}</Headline>
      {plain && <p style={{ margin: '10px 0 0', maxWidth: '76ch' }}>{plain}</p>}
      <Columns>
        <div>
          <div style={{ marginBottom: 18 }}>
            <SelectField
              label={say('forWord')}
              value={own?.athlete.id ?? 'everyone'}
              options={[
                ['everyone', say('everyoneThisLadder')] as const,
                ...everyone.map(({ athlete }) => [athlete.id, athlete.name] as const),
              ]}
              onChange={onChoose}
            />
          </div>
          <FlightForm plan={plan} onChange={keep} />
        </div>
        <div className="figures">
          <ReachFloor
            {...{ pattern, plan, budgets, name }}
            own={ownSpeed}
            best={best?.at ?? null}
            onPlan={keep}
          />
          {best && (
            <BestHomePart
              {...{ best, name }}
              waitsAt={plan.waitsAt}
              onWait={(at) => keep(movedHome(plan, at))}
            />
          )}
          <FiguresTable caption={say('timeThereEachTargetSecondsPlain')}>
            <thead>
              <tr>
                <th scope="col">{say('target2')}</th>
                <th scope="col">{say('fliesM')}</th>
                <th scope="col">{say('response')}</th>
                <th scope="col">{say('plain')}</th>
                <th scope="col">{say('off')}</th>
                <th scope="col">{say('recovery')}</th>
                {ownSpeed && (
                  <>
                    <th scope="col">{say('needs')}</th>
                    <th scope="col">{say('spare')}</th>
                  </>
                )}
              </tr>
            </thead>
            <tbody>
              {budgets.map((budget) => (
                <BudgetRow key={budget.letter} budget={budget} withOwn={ownSpeed !== null} />
              ))}
            </tbody>
          </FiguresTable>
          {noRecovery && <Quiet style={{ fontSize: 15 }}>{noRecovery}</Quiet>}
          {own && speed && (
            <div>
              <Quiet style={{ marginBottom: 8, maxWidth: '76ch' }}>
                {speed.ok
                  ? `${ownSpeedSentence(name, speed.value)} ${reach ? ownReachSentence(name, reach) : ''}`
                  : say('noLineNameSOwnYet', {
                      name,
                      problemSentence: problemSentence(speed.problem),
                    })}
              </Quiet>
              {ownSpeed && (
                <ul>
                  {budgets.map((budget) => (
                    <li key={budget.letter}>{reachSentence(budget, name)}</li>
                  ))}
                </ul>
              )}
            </div>
          )}
          <WhoReaches ladder={ladder} plan={settled} />
          <SetLimits
            key={own?.athlete.id ?? 'everyone'}
            pattern={pattern}
            settled={own ?? ladder}
            plan={plan}
            budgets={budgets}
          />
        </div>
      </Columns>
    </Page>
  );
}

const ms = (value: number | undefined): string => (value === undefined ? '–' : seconds(value));

function BudgetRow({
  budget: { letter, name, wayM, flight, recovery, feasible },
  withOwn,
}: {
  budget: TargetBudget;
  withOwn: boolean;
}): ReactElement {
  const flown = flight.ok ? flight.value : undefined;
  return (
    <tr>
      <th scope="row">
        {letter}, {name}
      </th>
      <td>{wayM.toFixed(1)}</td>
      <td>{ms(flown && 1000 * flown.timeS)}</td>
      <td>{ms(flown && 1000 * flown.plainTimeS)}</td>
      <td>{flown ? `+${percent(flown.plainOffShare)}` : '–'}</td>
      <td>{ms(recovery.ok ? recovery.value.totalMs : undefined)}</td>
      {withOwn && (
        <>
          <td>{ms(feasible?.needsMs)}</td>
          <td>{ms(feasible?.spareMs).replace('-', '−')}</td>
        </>
      )}
    </tr>
  );
}
