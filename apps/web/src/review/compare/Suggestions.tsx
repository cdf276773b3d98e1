import { suggestPairs, type SuggestedPair } from '@orthokin/core/stats';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useCourse } from '../../api/review.js';
import { useSquad } from '../../api/squad.js';
import { useRemembered } from '../../device/useRemembered.js';
import { ButtonLink } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Failed } from '../../parts/Notice.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { pairTitle, pairWhy } from '../../words/compare.js';
import { say } from '../../words/review.js';

const Pairs = styled.ul`
  margin: 18px 0 30px;
  padding: 0;
  list-style: none;
  max-width: 860px;
  a {
    display: grid;
    grid-template-columns: minmax(200px, 0.8fr) minmax(0, 1fr);
    gap: 2px 24px;
    padding: 14px 0;
    border-top: 1px solid ${colour('rule')};
    text-decoration: none;
  }
  li:last-child a {
    border-bottom: 1px solid ${colour('rule')};
  }
  a:hover strong {
    text-decoration: underline;
  }
  @media (max-width: 640px) {
    a {
      grid-template-columns: 1fr;
    }
  }
`;

const addressOf = ({ sides: [a, b], duration }: SuggestedPair): string =>
  `?${new URLSearchParams({
    ...{ a: a.setIds.join(','), b: b.setIds.join(','), duration },
    ...(a.letters.length > 0 && { aTo: a.letters.join(','), bTo: b.letters.join(',') }),
  })}`;

/** Suggests comparisons, in place of empty axes. */
export function Suggestions(): ReactElement {
  const squad = useSquad();
  const everyone = squad.data ?? [];
  const [kept, keep] = useRemembered('compare-athlete', '');
  const newest = [...everyone].sort((a, b) =>
    (b.lastSet?.startedAt ?? '').localeCompare(a.lastSet?.startedAt ?? ''),
  )[0];
  const athleteId = everyone.some(({ athlete }) => athlete.id === kept)
    ? kept
    : (newest?.athlete.id ?? '');
  const name = everyone.find(({ athlete }) => athlete.id === athleteId)?.athlete.name ?? '';
  const course = useCourse(athleteId);
  const pairs = useMemo(() => {
    if (!course.data) return null;
    const { sets, patterns } = course.data;
    return suggestPairs(
      sets,
      ({ patternId, patternVersion }) =>
        patterns.find(({ id, version }) => id === patternId && version === patternVersion)
          ?.targets ?? [],
    );
  }, [course.data]);
  const error = squad.error ?? course.error;
  const setOf = (setId: string) => course.data?.sets.find((set) => set.setId === setId);
  return (
    <>
      <Headline>{say('whatToLaySideSide')}</Headline>
      {error && !pairs ? (
        <Failed error={error} again={() => void Promise.all([squad.refetch(), course.refetch()])} />
      ) : (
        squad.data && (
          <div style={{ maxWidth: 260, marginTop: 14 }}>
            <SelectField
              label={say('ofAthlete')}
              value={athleteId}
              options={everyone.map(({ athlete }) => [athlete.id, athlete.name] as const)}
              onChange={keep}
            />
          </div>
        )
      )}
      {pairs && pairs.length > 0 && (
        <Pairs>
          {pairs.map((pair) => (
            <li key={addressOf(pair)}>
              <Link to={addressOf(pair)}>
                <strong>{pairTitle(pair)}</strong>
                <Quiet as="span">{pairWhy(pair, setOf)}</Quiet>
              </Link>
            </li>
          ))}
        </Pairs>
      )}
      {pairs?.length === 0 && (
        <div style={{ margin: '18px 0 30px' }}>
          <Quiet style={{ marginBottom: 12 }}>{say('nothingToCompare', { name })}</Quiet>
          <ButtonLink to={`/floor/${athleteId}`}>{say('runSet')}</ButtonLink>
        </div>
      )}
    </>
  );
}
