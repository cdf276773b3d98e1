import type { LadderPlaceReply, LadderReply } from '@orthokin/contract';
import { Play } from 'lucide-react';
import { useEffect, useState, type ReactElement } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { useLadder } from '../../api/ladder.js';
import { useLibrary } from '../../api/patterns.js';
import { useGroupFilter } from '../../api/useGroupFilter.js';
import { MOST_IN_ROTA } from '@orthokin/core/run';
import { remember } from '../../device/preferences.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { answerWords, ruleWords } from '../../words/decision.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Failed } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import { LadderDrawing } from '../LadderDrawing.js';
import { LAST_LADDER, useUsualLadder } from './useUsualLadder.js';
import { listWords } from '../../words/format.js';
import { say } from '../../words/ladder.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(320px, 0.85fr) minmax(0, 1fr);
  gap: 0 44px;
  align-items: start;
  .names a {
    display: inline-block;
    margin: 3px 12px 3px 0;
    font-weight: 650;
    color: ${colour('ink')};
  }
  .names .ready {
    text-decoration: none;
    padding: 1px 8px;
    border-radius: 3px;
    background: ${colour('ink')};
    color: ${colour('paper')};
  }
  .pattern {
    max-width: 340px;
    margin-bottom: 12px;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
    margin: 16px 0;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const People = styled.ul`
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: minmax(170px, auto) 1fr;
    gap: 2px 18px;
    padding: 11px 0;
    border-top: 1px solid ${colour('rule')};
  }
  small {
    font-size: 15px;
    color: ${colour('quiet')};
  }
`;

/** Who is ready, in one sentence. */
function readySentence(everyone: readonly LadderPlaceReply[]): string {
  const by = (answer: string) =>
    everyone
      .filter(({ decision }) => decision.answer === answer)
      .map(({ athlete }) => athlete.name);
  const [ready, back] = [by(say('moveUp')), by(say('easeBack'))];
  if (everyone.length === 0) return say('nobodyWorksThisPatternYet');
  if (ready.length > 0) return say('formatCanMoveUp', { format: listWords(ready) });
  if (back.length > 0) return say('nobodyReadyMoveUpFormatShould', { format: listWords(back) });
  return say('everyoneNobodyReadyMoveUpYet', { everyone: everyone.length });
}

/** The ladder that most are on, or that was looked at last. */
export function UsualLadder(): ReactElement {
  const { patternId, isReady } = useUsualLadder();
  if (patternId) return <Navigate to={`/ladder/${patternId}`} replace />;
  return (
    <Page name={say('ladder')}>
      <Quiet>{isReady ? say('thereNoPatternYetMakeOne') : say('findingLadder')}</Quiet>
    </Page>
  );
}

/** Everyone's place on one ladder, who is ready, and the next set for a chosen few. */
export function EveryonePage(): ReactElement {
  const { patternId = '' } = useParams();
  const ladder = useLadder(patternId);
  useEffect(() => {
    if (ladder.data) remember(LAST_LADDER, patternId);
  }, [ladder.data, patternId]);
  if (ladder.data) return <Everyone key={patternId} ladder={ladder.data} />;
  return (
    <Page name={say('ladder')}>
      {ladder.error ? (
        <Failed error={ladder.error} again={() => void ladder.refetch()} />
      ) : (
        <Quiet>{say('readingLadder')}</Quiet>
      )}
    </Page>
  );
}

function Everyone({
  ladder: { pattern, settings, everyone: all },
}: {
  ladder: LadderReply;
}): ReactElement {
  const groups = useGroupFilter();
  const everyone = groups.of(all, ({ athlete }) => athlete.id);
  const navigate = useNavigate();
  const library = useLibrary();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const patterns = (library.data ?? []).filter(({ archived }) => !archived);
  const toggle = (id: string) =>
    setChosen(chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id]);
  const start = () => {
    const [first, ...others] = chosen;
    const rota = others.length > 0 ? `&with=${others.join(',')}` : '';
    void navigate(`/floor/${first ?? ''}?pattern=${pattern.id}${rota}`);
  };
  const page = (athleteId: string) => `/ladder/${pattern.id}/${athleteId}`;
  return (
    <Page name={say('ladder')}>
      <Headline>{readySentence(everyone)}</Headline>
      <Quiet style={{ margin: '8px 0 18px', maxWidth: '80ch' }}>
        {ruleWords(settings.rule)} <Link to="/ladder/rules">{say('whatWouldRuleDo')}</Link>
      </Quiet>
      <Columns>
        <div>
          <div className="pattern no-print">
            <SelectField
              label={say('ladder2')}
              value={pattern.id}
              options={
                patterns.length > 0
                  ? patterns.map(({ id, pattern: { name } }) => [id, name] as const)
                  : [[pattern.id, pattern.name] as const]
              }
              onChange={(id) => void navigate(`/ladder/${id}`)}
            />
            {groups.field && <SelectField {...groups.field} />}
          </div>
          {pattern.rungs.length === 0 ? (
            <Quiet>{say('thisPatternHasNoTargetsSo')}</Quiet>
          ) : (
            <LadderDrawing
              label={say('ladderPatternEveryone', { pattern: pattern.name })}
              pattern={pattern}
              who={({ number }) => (
                <span className="names">
                  {everyone
                    .filter(({ rung }) => rung === number)
                    .map(({ athlete, decision }) => (
                      <Link
                        key={athlete.id}
                        to={page(athlete.id)}
                        className={decision.answer === 'move up' ? 'ready' : undefined}
                      >
                        {athlete.name}
                        {decision.answer === 'move up' && ' ↑'}
                        {decision.answer === 'ease back' && ' ↓'}
                      </Link>
                    ))}
                </span>
              )}
            />
          )}
          <div className="ways no-print">
            <ButtonLink to={`/ladder/${pattern.id}/rungs`}>{say('rungsRule')}</ButtonLink>
            <ButtonLink to={`/ladder/${pattern.id}/budget`}>{say('howMuchTimeThere')}</ButtonLink>
          </div>
        </div>
        <div>
          <Heading>{say('nextSet')}</Heading>
          <Quiet>{say('chooseWhoWorksUpMostinrotaEach', { MOSTINROTA: MOST_IN_ROTA })}</Quiet>
          <People>
            {everyone.map(({ athlete, rung, decision }) => (
              <li key={athlete.id}>
                <CheckField
                  isSelected={chosen.includes(athlete.id)}
                  isDisabled={!chosen.includes(athlete.id) && chosen.length >= MOST_IN_ROTA}
                  onChange={() => toggle(athlete.id)}
                >
                  {athlete.name}
                </CheckField>
                <span>
                  <Link to={page(athlete.id)}>{answerWords(decision, null)}</Link>
                  <br />
                  <small>{say('rungRung', { rung })}</small>
                </span>
              </li>
            ))}
          </People>
          <div className="ways no-print">
            <Button weight="main" isDisabled={chosen.length === 0} onPress={start}>
              <Play size={18} aria-hidden />{' '}
              {chosen.length > 1 ? say('nextSetChosen', { chosen: chosen.length }) : say('nextSet')}
            </Button>
          </div>
        </div>
      </Columns>
    </Page>
  );
}
