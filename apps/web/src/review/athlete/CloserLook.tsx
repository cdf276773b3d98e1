import type { AthleteCourseReply } from '@orthokin/contract';
import { rungOf } from '@orthokin/core/pattern';
import { CLOSER_DURATIONS, leanOf } from '@orthokin/core/stats';
import { useMemo, useState, type ReactElement } from 'react';
import { useLocation } from 'react-router';
import { useAthleteReps } from '../../api/review.js';
import { Button } from '../../parts/Button.js';
import { Failed } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { useSum } from '../sums/useSum.js';
import { Working } from '../../parts/working/Working.js';
import { hickSentence, medianSentence, sidesSentence, tailSentence } from '../../words/closer.js';
import type { Kind } from '../course-view.js';
import { say } from '../../words/review.js';

/** Sides, lapses and the cost of choice. Needs every rep, so it is loaded on demand. */
export function CloserLook({
  course: { athlete },
  kind: { sets, pattern },
}: {
  course: AthleteCourseReply;
  kind: Kind;
}): ReactElement {
  const { hash } = useLocation();
  const [isOpen, setOpen] = useState(hash === '#closer');
  const [first] = sets;
  const rung = sets.at(-1)?.rung ?? 1;
  const pool =
    isOpen && first
      ? {
          patternId: first.patternId,
          patternVersion: first.patternVersion,
          ...{ source: first.source, sense: first.sense },
        }
      : null;
  const reps = useAthleteReps(athlete.id, pool);
  const sum = useMemo(() => {
    if (!reps.data || !pattern) return null;
    const known = new Map(sets.map((set) => [set.setId, set]));
    return {
      kind: 'closer' as const,
      reps: reps.data,
      targets: pattern.targets,
      rung,
      sets: reps.data.setIds.map((id) => {
        const own = known.get(id)?.rung ?? 0;
        return { rung: own, choices: rungOf(pattern, own)?.targets.length ?? 0 };
      }),
    };
  }, [reps.data, pattern, sets, rung]);
  const working = useSum<'closer'>(sum);
  const { answer } = working;
  return (
    <>
      <Heading>{say('closerLook')}</Heading>
      {!isOpen && <Button onPress={() => setOpen(true)}>{say('sidesLapsesPriceChoice')}</Button>}
      {isOpen && reps.error && <Failed error={reps.error} again={() => void reps.refetch()} />}
      {isOpen && reps.isPending && <Quiet>{say('readingEveryRep')}</Quiet>}
      {isOpen && sum && <Working of={working} what={say('closerLook2')} />}
      {answer && (
        <>
          <p>{sidesSentence({ sides: answer.sides, ...leanOf(sets) })}</p>
          <p>{tailSentence(answer.tail)}</p>
          <p>{hickSentence(answer.hick)}</p>
          <p>
            {CLOSER_DURATIONS.flatMap((name) => {
              const own = answer.medians[name];
              return own ? [medianSentence(name, own)] : [];
            }).join(' ')}
          </p>
          <Quiet style={{ fontSize: 16 }}>{say('allButPriceChoiceRungRung', { rung })}</Quiet>
        </>
      )}
    </>
  );
}
