import type { SetReviewReply } from '@orthokin/contract';
import { readSet, senseOf } from '@orthokin/core/drill';
import { compareTimes, COURSE_DURATIONS, isItBetter, medianRep } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import { useMemo, type ReactElement } from 'react';
import styled from 'styled-components';
import { useAddress } from '../../parts/useAddress.js';
import { useCourse, useSetReviews } from '../../api/review.js';
import { HowKnown } from '../../parts/explained/HowKnown.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { dayWords, listWords } from '../../words/format.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { RibbonLegend } from '../../parts/ribbon/RibbonLegend.js';
import { Ribbons } from '../../parts/ribbon/Ribbons.js';
import { ALIGN_AT } from '../../parts/ribbon/scale.js';
import { ALIGN_WORDS } from '../../parts/ribbon/Axis.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import { betterSentence, settleSentence, whyNotSentence } from '../../words/change.js';
import { compareSentence, notAlikeSentence } from '../../words/compare.js';
import { ChooseSet } from './ChooseSet.js';
import { Suggestions } from './Suggestions.js';
import { TimesChart } from './TimesChart.js';
import { say } from '../../words/review.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  margin-top: 18px;
  > * {
    flex: 0 1 190px;
  }
`;

const Sides = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 69px;
  margin-top: 26px;
  /* The rule stands in the gap: both drawings are as wide as each other, and so to one scale. */
  > * + * {
    position: relative;
  }
  > * + *::before {
    content: '';
    position: absolute;
    inset: 0 auto 0 -35px;
    border-left: 1px solid ${colour('rule')};
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
    > * + *::before {
      content: none;
    }
  }
`;

/** One of two sides: some sets of one athlete, taken together. */
interface Side {
  /** Only these targets; all if empty. */
  readonly letters: readonly string[];
  readonly sets: readonly SetReviewReply[];
  readonly readings: readonly RepReading[];
  readonly name: string;
}

const sideOf = (sets: readonly SetReviewReply[], letters: readonly string[]): Side => {
  const [first, last] = [sets[0], sets.at(-1)];
  const [from = '', to = ''] = [first, last].map((each) => each && dayWords(each.set.startedAt));
  const when = from === to ? from : say('fromTo', { from, to });
  const of = first && { athlete: first.athlete.name, when, rung: first.set.rung };
  return {
    ...{ sets, letters },
    readings: sets
      .flatMap(({ set, reps, pattern }) => readSet(set, reps, pattern))
      .filter(({ rep }) => letters.length === 0 || letters.includes(rep.target)),
    name:
      of === undefined
        ? ''
        : letters.length === 0
          ? say('athleteWhenRungRung', of)
          : say('toTargetsWhen', { ...of, letters: listWords(letters) }),
  };
};

/** In what two sides differ that their times must not be compared for. */
const unlike = (a: Side, b: Side): string[] => {
  const of = ({ sets }: Side) => {
    const [first] = sets;
    return first
      ? {
          [say('patternVersion')]: `${first.pattern.name} ${first.set.patternVersion}`,
          [say('timing')]: first.set.source,
          [say('kindOfCue')]: senseOf(first.set.conditions),
          [say('rungName')]: String(first.set.rung),
        }
      : {};
  };
  const [x, y] = [of(a), of(b)] as [Record<string, string>, Record<string, string>];
  return Object.keys(x).filter((name) => x[name] !== y[name]);
};

/** Splits a list in the address. */
const listed = (text: string): string[] => text.split(',').filter((each) => each !== '');

/** Compares two sets, two athletes on one pattern, or before and after, side by side. */
export function ComparePage(): ReactElement {
  const [params, change] = useAddress();
  const ids = (name: 'a' | 'b') => listed(params.get(name) ?? '');
  const [toA, toB] = [params.get('aTo') ?? '', params.get('bTo') ?? ''];
  const [a, b] = [useSetReviews(ids('a')), useSetReviews(ids('b'))];
  const duration =
    COURSE_DURATIONS.find((name) => name === params.get('duration')) ?? COURSE_DURATIONS[4];
  const at = ALIGN_AT.find((name) => name === params.get('at')) ?? 'cue';
  const sides = useMemo(
    () =>
      a.sets && b.sets
        ? ([sideOf(a.sets, listed(toA)), sideOf(b.sets, listed(toB))] as const)
        : null,
    [a.sets, b.sets, toA, toB],
  );
  const error = a.error ?? b.error;
  const chosen = sides?.every((side) => side.sets.length > 0) ? sides : null;
  return (
    <Page name={say('sideSide')}>
      {chosen ? (
        <Compared sides={chosen} duration={duration} />
      ) : error ? (
        <Failed error={error} again={() => void Promise.all([a.again(), b.again()])} />
      ) : (
        <Suggestions />
      )}
      {!chosen && <Heading>{say('orAnyTwo')}</Heading>}
      <Row className="no-print">
        <ChooseSet
          label={say('first')}
          chosen={ids('a')}
          onChoose={(id) => change({ a: id, aTo: null })}
        />
        <ChooseSet
          label={say('second')}
          chosen={ids('b')}
          onChoose={(id) => change({ b: id, bTo: null })}
        />
        {chosen && (
          <>
            <SelectField
              label={say('duration2')}
              value={duration}
              options={COURSE_DURATIONS}
              onChange={(name) => change({ duration: name })}
            />
            <SelectField
              label={say('lineUp')}
              value={at}
              options={ALIGN_AT.map((name) => [name, ALIGN_WORDS[name]] as const)}
              onChange={(name) => change({ at: name })}
            />
          </>
        )}
      </Row>
      {chosen && (
        <Sides>
          {chosen.map((side, i) => (
            <section key={i} aria-label={i === 0 ? say('first') : say('second')}>
              <Heading>{side.name}</Heading>
              <Ribbons
                readings={side.readings.filter(
                  ({ rep }) => at === 'cue' || rep.events.some(({ name }) => name === at),
                )}
                targets={side.sets[0]?.pattern.targets ?? []}
                limits={{ limitsMs: {} }}
                at={at}
                reference={medianRep(chosen[0].readings) ?? undefined}
                drawnBeside={chosen[1 - i]?.readings ?? []}
              />
              <RibbonLegend readings={side.readings} />
            </section>
          ))}
        </Sides>
      )}
      {chosen && (
        <Quiet style={{ marginTop: 10, fontSize: 16 }}>{say('underEachBandMiddleFirstSide')}</Quiet>
      )}
    </Page>
  );
}

/** Whether the athlete has changed. Single reps cannot tell, because two days differ anyway. */
function HasChanged({
  first,
  second,
  duration,
}: {
  first: Side;
  second: Side;
  duration: (typeof COURSE_DURATIONS)[number];
}): ReactElement | null {
  const course = useCourse(first.sets[0]?.athlete.id ?? '');
  if (!course.data) return null;
  const { sets, squad } = course.data;
  const of = (side: Side) => {
    const ids = new Set(side.sets.map(({ set }) => set.id));
    return sets.filter(({ setId }) => ids.has(setId));
  };
  const better = isItBetter(of(first), of(second), sets, duration, squad);
  return (
    <p style={{ maxWidth: '78ch', margin: '10px 0' }}>
      <strong>{say('hasAthleteChanged')}</strong>{' '}
      {typeof better === 'string'
        ? whyNotSentence(better)
        : [betterSentence(better, duration), settleSentence(better.change)].join(' ')}{' '}
      <HowKnown what="change" />
    </p>
  );
}

function Compared({
  sides: [first, second],
  duration,
}: {
  sides: readonly [Side, Side];
  duration: (typeof COURSE_DURATIONS)[number];
}): ReactElement {
  const times = useMemo(
    () =>
      [first, second].map(({ readings }) =>
        readings.flatMap(({ durations, leftOut }) =>
          leftOut ? [] : (durations[duration]?.ms ?? []),
        ),
      ) as [number[], number[]],
    [first, second, duration],
  );
  const differs = unlike(first, second);
  const isOther = first.sets[0]?.athlete.id !== second.sets[0]?.athlete.id;
  const isWhole = first.letters.length === 0 && second.letters.length === 0;
  const isComparable = differs.every((name) => name === 'rung');
  const comparison = isComparable ? compareTimes(...times) : null;
  return (
    <>
      <Quiet>
        {say('firstSetsSecondSets2', {
          first: first.name,
          sets: first.sets.length,
          second: second.name,
          sets2: second.sets.length,
        })}
      </Quiet>
      <Headline>
        {isComparable
          ? compareSentence(comparison, duration, isOther ? say('secondAthlete') : 'second')
          : notAlikeSentence(differs)}
      </Headline>
      {isComparable && differs.length > 0 && (
        <Notice>{say('rungsDifferOtherTargetsPlaySo')}</Notice>
      )}
      {comparison && (
        <>
          <p style={{ maxWidth: '78ch', margin: '10px 0' }}>
            {say('theseSingleRepsSetsNamedSo')} <HowKnown what={duration} />
          </p>
          {!isOther && isWhole && differs.length === 0 && (
            <HasChanged first={first} second={second} duration={duration} />
          )}
          <TimesChart
            names={[first.name, second.name]}
            times={times}
            duration={duration}
            comparison={comparison}
          />
        </>
      )}
    </>
  );
}
