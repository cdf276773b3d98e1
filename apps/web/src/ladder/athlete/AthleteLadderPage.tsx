import type { AthleteLadderReply, RungMoveReply } from '@orthokin/contract';
import { standingMoves } from '@orthokin/core/progress';
import type { ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAthleteLadder } from '../../api/ladder.js';
import { ButtonLink } from '../../parts/Button.js';
import { headline, ruleSentence, trainWords } from '../../words/decision.js';
import { dayWords } from '../../words/format.js';
import { Explained } from '../../parts/explained/Explained.js';
import { HowKnown } from '../../parts/explained/HowKnown.js';
import { Failed } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import { LadderDrawing } from '../LadderDrawing.js';
import { demandSentence } from '../../words/rung.js';
import { Gauges } from './Gauges.js';
import { Moves } from './Moves.js';
import { MoveWays } from './MoveWays.js';
import { NextRung } from './NextRung.js';
import { OwnLimits } from './OwnLimits.js';
import { RulePath } from './RulePath.js';
import { TargetBars } from './TargetBars.js';
import { say } from '../../words/ladder.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(320px, 0.75fr) minmax(0, 1fr);
  gap: 0 44px;
  align-items: start;
  margin-top: 14px;
  .answer {
    padding-left: 36px;
    border-left: 1px solid ${colour('rule')};
  }
  .says {
    max-width: 72ch;
  }
  section {
    margin-top: 26px;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
    .answer {
      order: -1;
      padding: 0 0 22px;
      border-left: 0;
      border-bottom: 1px solid ${colour('rule')};
    }
  }
`;

const Ways = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
`;

/** The day a rung was passed, by a move that was not undone. */
function metOn(moves: readonly RungMoveReply[], rung: number): string | null {
  const up = moves.filter(({ fromRung, toRung }) => fromRung === rung && toRung > rung).at(-1);
  return up ? say('metMovedat', { movedAt: dayWords(up.movedAt) }) : null;
}

/** An athlete on a ladder: the decision, each gate with its evidence, and what comes next. */
export function AthleteLadderPage(): ReactElement {
  const { patternId = '', athleteId = '' } = useParams();
  const ladder = useAthleteLadder(patternId, athleteId);
  if (ladder.data) return <OnLadder ladder={ladder.data} />;
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

function OnLadder({ ladder }: { ladder: AthleteLadderReply }): ReactElement {
  const { athlete, pattern, settings, ownLimits, rung, decision, evidence, moves } = ladder;
  const here = pattern.rungs.find(({ number }) => number === rung);
  const next = pattern.rungs.find(({ number }) => number === rung + 1);
  const newest = evidence.at(-1);
  const standing = standingMoves(moves);
  const demand = demandSentence(evidence.flatMap(({ judgement }) => judgement.chances));
  const train = decision.answer === 'move up' ? null : trainWords(decision.limiting);
  const { test } = settings;
  return (
    <Page name={say('athleteLadder', { athlete: athlete.name })}>
      <Quiet>
        <Link to={`/review/athletes/${athlete.id}`}>{athlete.name}</Link>,{' '}
        <Link to={`/ladder/${pattern.id}`}>{pattern.name}</Link>
      </Quiet>
      <Columns>
        <div>
          <LadderDrawing
            label={say('ladderPatternAthleteStandsRungRung', {
              pattern: pattern.name,
              athlete: athlete.name,
              rung,
            })}
            pattern={pattern}
            here={rung}
            when={({ number }) =>
              number < rung
                ? metOn(standing, number)
                : ownLimits.some((own) => own.rung === number)
                  ? say('ownLimits')
                  : null
            }
          />
          <Quiet style={{ fontSize: 15 }}>
            {say('whichTechniqueBeforeEither', {
              which: settings.axis === 'alternate' ? say('speedComplexityTurn') : settings.axis,
            })}
            {standing.length === 0 && say('everybodyStartsRung1')}
          </Quiet>
          <Ways className="no-print">
            {test && (
              <ButtonLink to={testLink(athlete.id, pattern.id, test)}>
                {say('runStandardTest')}
              </ButtonLink>
            )}
            <ButtonLink to={`/ladder/${pattern.id}/budget?athlete=${athlete.id}`}>
              {say('howMuchTimeThere')}
            </ButtonLink>
          </Ways>
        </div>
        <div className="answer">
          <Headline>{headline(decision, rung)}</Headline>
          <p className="says">
            {ruleSentence(decision)} {demand} {demand && <HowKnown what="lost" />}{' '}
            {train && say('whatTrainTrain', { train })}
          </p>
          <MoveWays ladder={ladder} />
          {newest && here && (
            <section>
              <Heading>
                {say('gatesNewestSet')}{' '}
                <Link to={`/review/${newest.setId}`}>{dayWords(newest.startedAt)}</Link>
              </Heading>
              <Gauges judgement={newest.judgement} sources={here.limitSources} />
            </section>
          )}
          {here && evidence.length > 0 && <TargetBars ladder={ladder} rung={here} />}
          <section>
            <Heading>
              <Explained what="evidence">{say('evidenceSoFar')}</Explained>
            </Heading>
            <RulePath decision={decision} evidence={evidence} />
          </section>
          {here && next && <NextRung from={here} to={next} />}
          <OwnLimits ladder={ladder} />
          <Moves moves={moves} />
        </div>
      </Columns>
    </Page>
  );
}

const testLink = (
  athleteId: string,
  patternId: string,
  { rung, seed, reps }: { rung: number; seed: number; reps: number },
): string => `/floor/${athleteId}?pattern=${patternId}&rung=${rung}&seed=${seed}&test=${reps}`;
