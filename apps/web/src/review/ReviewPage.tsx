import { rungOf } from '@orthokin/core/pattern';
import { judgeSet } from '@orthokin/core/progress';
import { summariseSet } from '@orthokin/core/stats';
import { readRep, standing, withNextCues } from '@orthokin/core/timing';
import { useMemo, type ReactElement } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { FloorPlan } from '../parts/plan/FloorPlan.js';
import { dayWords, seconds, timeWords } from '../parts/format.js';
import { Failed } from '../parts/Notice.js';
import { RibbonLegend } from '../parts/ribbon/RibbonLegend.js';
import { Ribbons } from '../parts/ribbon/Ribbons.js';
import { Headline, Heading, Page, Quiet } from '../parts/Text.js';
import { colour, MIDDLE } from '../parts/tokens.js';
import { NextSteps } from './NextSteps.js';
import { RepTable } from './RepTable.js';
import { SummaryTable } from './SummaryTable.js';
import { useReview, type Review } from './useReview.js';
import {
  gateSentences,
  headline,
  leftOutSentence,
  ruleSentence,
  slowestHome,
  sourceSentence,
  timesByTarget,
} from './verdict.js';

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
  .floor svg {
    max-height: 430px;
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

/** One set: the answer, the ribbons that show why, and the figures. */
export function ReviewPage(): ReactElement {
  const { setId = '' } = useParams();
  const { review, error, again } = useReview(setId);
  if (review) return <SetReview setId={setId} review={review} />;
  return (
    <Page>{error ? <Failed error={error} again={again} /> : <Quiet>Reading the set…</Quiet>}</Page>
  );
}

/** What core makes of the reps, worked out once a set. */
function useFindings({ set, pattern, reps }: Review) {
  return useMemo(() => {
    const { falseStartMs, responseLimitMs } = set;
    const settings = { falseStartMs, responseLimitMs, splitWindowMs: pattern.splitWindowMs };
    const readings = withNextCues(standing(reps), reps).map((rep) => readRep(rep, settings));
    const rung = rungOf(pattern, set.rung);
    return {
      rung,
      readings,
      summary: summariseSet(readings),
      judgement: rung && judgeSet(readings, rung),
      targets: timesByTarget(readings, pattern.targets),
    };
  }, [set, pattern, reps]);
}

function SetReview({ setId, review }: { setId: string; review: Review }): ReactElement {
  const { set, athlete, pattern, decision, moved } = review;
  const { rung, readings, summary, judgement, targets } = useFindings(review);
  const legend = (letter: string) => {
    const own = targets.find(({ target }) => target.letter === letter);
    return own?.recoveryMs == null ? [] : [seconds(own.recoveryMs)];
  };
  const slowest = slowestHome(targets, summary.durations.recovery?.errorSdMs ?? 0);
  return (
    <Page>
      <Columns>
        <div>
          <Quiet>
            {athlete.name}, {pattern.name}, rung {set.rung}: {rung?.name}, {dayWords(set.startedAt)}{' '}
            {timeWords(set.startedAt)}
            {set.endReason === 'stopped early' && ', stopped early'}
          </Quiet>
          <Headline>
            {moved
              ? `Moved up to rung ${moved.toRung}.`
              : decision
                ? headline(decision, set.rung)
                : 'The set is on this device; what comes next is said when it is sent.'}
          </Headline>
          <p className="evidence">
            {judgement && gateSentences(judgement).join(' ')} {leftOutSentence(summary)}
          </p>
          {decision && (
            <Quiet className="evidence" style={{ marginTop: 6 }}>
              {ruleSentence(decision)}
            </Quiet>
          )}
          <NextSteps setId={setId} review={review} />
          <Drawing>
            <Ribbons
              readings={readings}
              targets={pattern.targets}
              limitsMs={rung?.limitsMs ?? {}}
            />
            <RibbonLegend readings={readings} />
          </Drawing>
          <RepTable readings={readings} />
        </div>
        <aside>
          <SummaryTable summary={summary} rung={rung} />
          <Quiet style={{ fontSize: 16 }}>{sourceSentence(set.source, summary)}</Quiet>
          <div className="floor">
            <Heading>Recovery by target, seconds, median</Heading>
            <FloorPlan
              pattern={pattern}
              inPlay={rung?.targets}
              legend={legend}
              label={targets
                .map(({ target }) => `${target.letter} ${legend(target.letter)[0] ?? 'not timed'}`)
                .join(', ')}
            />
            {slowest && <p style={{ margin: '10px 0 0' }}>{slowest}</p>}
          </div>
        </aside>
      </Columns>
    </Page>
  );
}
