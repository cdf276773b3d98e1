import type { RungMoveReply } from '@orthokin/contract';
import { readSet } from '@orthokin/core/drill';
import { rungOf } from '@orthokin/core/pattern';
import { judgeSet, sayThis } from '@orthokin/core/progress';
import { fadeOf, summariseSet } from '@orthokin/core/stats';
import { useMemo, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { headline, ruleSentence } from '../../words/decision.js';
import { useClub } from '../../api/club.js';
import { dayWords, timeWords } from '../../words/format.js';
import { Failed } from '../../parts/Notice.js';
import { RibbonLegend } from '../../parts/ribbon/RibbonLegend.js';
import { Ribbons } from '../../parts/ribbon/Ribbons.js';
import { SayThis } from '../../parts/SayThis.js';
import { HowKnown } from '../../parts/explained/HowKnown.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import { fadeSentence, trialSentence } from '../../words/set.js';
import { CoachEventTable } from './CoachEventTable.js';
import { Corrections } from './Corrections.js';
import { CorrectRep } from './CorrectRep.js';
import { Differences } from './Differences.js';
import { NextSteps } from './NextSteps.js';
import { RepTable } from './RepTable.js';
import { SetNotes } from './SetNotes.js';
import { SummaryTable } from './SummaryTable.js';
import { TargetFloor } from './TargetFloor.js';
import { useReview, type Review } from './useReview.js';
import { inView, referenceOf, useSetView } from './useSetView.js';
import { ViewControls } from './ViewControls.js';
import {
  gateSentences,
  leftOutSentence,
  mixedSentence,
  sourceSentence,
} from '../../words/verdict.js';
import { say } from '../../words/review.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 0 40px;
  align-items: start;
  .evidence {
    max-width: 74ch;
    margin: 10px 0 0;
  }
  aside {
    display: grid;
    gap: 26px;
    padding-left: 30px;
    border-left: 1px solid ${colour('rule')};
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
    aside {
      margin-top: 28px;
      padding: 24px 0 0;
      border-left: 0;
      border-top: 1px solid ${colour('rule')};
    }
  }
`;

const Drawing = styled.div`
  margin: 18px 0 6px;
`;

/** A set's review: the decision, the ribbons that show why, and the figures. */
export function ReviewPage(): ReactElement {
  const { setId = '' } = useParams();
  const { review, error, again } = useReview(setId);
  if (review) return <SetReview setId={setId} review={review} />;
  return (
    <Page name={say('set')}>
      {error ? <Failed error={error} again={again} /> : <Quiet>{say('readingSet')}</Quiet>}
    </Page>
  );
}

/** What was done with the decision. */
function movedWords({ fromRung, toRung }: RungMoveReply): string {
  if (toRung > fromRung) return say('movedUpRungTorung', { toRung });
  return toRung < fromRung ? say('backRungTorung', { toRung }) : say('keptRungTorung', { toRung });
}

/** The figures of the reps, computed once per set. */
function useFindings({ set, pattern, reps }: Review) {
  return useMemo(() => {
    const readings = readSet(set, reps, pattern);
    const rung = rungOf(pattern, set.rung);
    return {
      rung,
      readings,
      summary: summariseSet(readings),
      judgement: rung && judgeSet(readings, rung, set.conditions.watched),
      said: rung && sayThis(readings, rung, set.conditions.watched),
      fade: fadeOf(readings, 'cycle'),
      trials: trialSentence(readings),
    };
  }, [set, pattern, reps]);
}

function SetReview({ setId, review }: { setId: string; review: Review }): ReactElement {
  const { set, athlete, pattern, decision, moved } = review;
  const { faults } = useClub();
  const { rung, readings, summary, judgement, said, fade, trials } = useFindings(review);
  const [view, changeView] = useSetView();
  const shown = inView(readings, view);
  const reference = referenceOf(readings, view);
  const isStored = decision !== null;
  return (
    <Page name={say('athleteSetReview', { athlete: athlete.name })}>
      <Columns>
        <div>
          <Quiet>
            <Link to={`/review/athletes/${set.athleteId}`}>{athlete.name}</Link>
            {say('patternRungRung', { pattern: pattern.name, rung: set.rung })} {rung?.name},{' '}
            {dayWords(set.startedAt)} {timeWords(set.startedAt)}
            {set.endReason === 'stopped early' && say('stoppedEarly')}
            {set.endReason === 'technique went' && say('endedWhenTechniqueWent')}
          </Quiet>
          {said && set.source !== 'none' && (
            <div style={{ margin: '12px 0 18px' }}>
              <SayThis found={said} targets={pattern.targets} faults={faults} />
            </div>
          )}
          <Headline>
            {set.source === 'none'
              ? say('readingsKeptMarkedFilm', { readings: readings.length })
              : moved
                ? movedWords(moved)
                : decision
                  ? headline(decision, set.rung)
                  : say('setThisDeviceWhatComesNext')}
          </Headline>
          <p className="evidence">
            {judgement && gateSentences(judgement).join(' ')} {leftOutSentence(summary)}{' '}
            <HowKnown what="verdict" />
          </p>
          {trials && <p className="evidence">{trials}</p>}
          {set.source !== 'none' && (
            <p className="evidence">
              {fadeSentence(say('cycle'), fade)} <HowKnown what="fade" />
            </p>
          )}
          {decision && (
            <Quiet className="evidence" style={{ marginTop: 6 }}>
              {ruleSentence(decision)} <HowKnown what="evidence" />
            </Quiet>
          )}
          {decision && !decision.setIds.includes(setId) && (
            <p className="evidence">{say('thisSetDoesNotCountLadder', { rung: set.rung })}</p>
          )}
          <NextSteps setId={setId} review={review} />
          <ViewControls readings={readings} view={view} onChange={changeView} />
          <Drawing>
            <Ribbons
              readings={shown}
              targets={pattern.targets}
              limits={rung ?? { limitsMs: {} }}
              at={view.at}
              reference={reference}
            />
            <RibbonLegend readings={shown} />
            {shown.length < readings.length && (
              <Quiet style={{ fontSize: 15, marginTop: 6 }}>
                {say('readingsNotDrawnNotTimedWhere', { readings: readings.length - shown.length })}
              </Quiet>
            )}
          </Drawing>
          {reference && <Differences readings={shown} reference={reference} />}
          <RepTable readings={readings} rung={rung} />
          {isStored && (
            <>
              <CorrectRep
                setId={setId}
                reps={review.reps}
                ordinals={readings.map(({ rep }) => rep.ordinal)}
              />
              <Corrections setId={setId} reps={review.reps} />
            </>
          )}
        </div>
        <aside>
          <SummaryTable summary={summary} rung={rung} />
          <CoachEventTable {...{ readings, rung }} />
          <Quiet style={{ fontSize: 16 }}>
            {sourceSentence(set.source, summary)} {mixedSentence(readings)}
          </Quiet>
          <TargetFloor
            readings={readings}
            pattern={pattern}
            rung={rung}
            errorSdMs={summary.durations.recovery?.errorSdMs ?? 0}
          />
          {isStored && <SetNotes setId={setId} athleteId={set.athleteId} />}
        </aside>
      </Columns>
    </Page>
  );
}
