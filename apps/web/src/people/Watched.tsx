import type { AthleteCareReply, PersonReply } from '@orthokin/contract';
import { MOST_WATCHED, type Fault } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { useClub } from '../api/club.js';
import { useWatch } from '../api/people.js';
import { Fields } from '../parts/form/Fields.js';
import { SelectField } from '../parts/form/SelectField.js';
import { Notice } from '../parts/Notice.js';
import { Heading, Quiet } from '../parts/Text.js';
import { faultWords, namedFaults } from '../words/fault.js';
import { say } from '../words/people.js';

const NONE = 'none';

/** The faults that are watched in an athlete, two at the most, with what to say and what mends them. */
export function Watched({
  person: { id, watched: known },
  seenLately,
}: {
  person: PersonReply;
  seenLately: AthleteCareReply['faultsLately'];
}): ReactElement {
  const { faults: own } = useClub();
  const watch = useWatch();
  const watched = known ?? [];
  const seenOf = (fault: Fault) => seenLately.find((one) => one.fault === fault)?.seen ?? 0;
  const named = [...new Set([...namedFaults(own), ...watched])];
  const set = (place: number, fault: Fault | typeof NONE) => {
    const kept = [...watched];
    kept.splice(place, 1, ...(fault === NONE ? [] : [fault]));
    watch.mutate({ athleteId: id, watched: [...new Set(kept)] });
  };
  return (
    <section aria-label={say('watched')}>
      <Heading>{say('watched')}</Heading>
      <Fields style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(230px, 1fr))' }}>
        {Array.from({ length: MOST_WATCHED }, (_, place) => (
          <SelectField
            key={place}
            label={say('watchedN', { n: place + 1 })}
            value={watched[place] ?? NONE}
            options={[
              [NONE, say('noFault')] as const,
              ...named.map(
                (fault) =>
                  [
                    fault,
                    say('faultSeen', { fault: faultWords(fault, own).name, seen: seenOf(fault) }),
                  ] as const,
              ),
            ]}
            onChange={(fault) => set(place, fault)}
          />
        ))}
      </Fields>
      {watched.map((fault) => {
        const words = faultWords(fault, own);
        return (
          <p key={fault} style={{ margin: '10px 0 0' }}>
            <strong>{words.name}</strong>: “{words.say}” <Quiet as="span">{words.mend}</Quiet>
          </p>
        );
      })}
      {watch.error && <Notice>{watch.error.message}</Notice>}
      <Quiet style={{ marginTop: 10 }}>
        <Link to="/people/faults">{say('faultLibrary')}</Link>
      </Quiet>
    </section>
  );
}
