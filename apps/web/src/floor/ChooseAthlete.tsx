import type { ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useLibrary } from '../api/patterns.js';
import { useSquad } from '../api/squad.js';
import { useGroupFilter } from '../api/useGroupFilter.js';
import { ButtonLink } from '../parts/Button.js';
import { SelectField } from '../parts/form/SelectField.js';
import { Failed } from '../parts/Notice.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { say } from '../words/floor.js';

const Names = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 12px;
  margin: 22px 0 0;
  padding: 0;
  list-style: none;
  a {
    width: 100%;
    min-height: 64px;
    justify-content: flex-start;
  }
`;

/** Asks who works: the floor's first question. */
export function ChooseAthlete(): ReactElement {
  const squad = useSquad();
  const library = useLibrary();
  const groups = useGroupFilter();
  const lines = groups.of(squad.data ?? [], ({ athlete }) => athlete.id);
  const [params] = useSearchParams();
  const wanted = library.data?.find(({ id }) => id === params.get('pattern'));
  const search = wanted ? `?pattern=${wanted.id}` : '';
  return (
    <Page name={say('floor')}>
      <Headline>{say('whoWorks')}</Headline>
      {wanted && <Quiet>{say('pattern', { pattern: wanted.pattern.name })}</Quiet>}
      {squad.isPending && <Quiet>{say('readingSquad')}</Quiet>}
      {squad.error && !squad.data && (
        <Failed error={squad.error} again={() => void squad.refetch()} />
      )}
      {groups.field && (
        <div style={{ maxWidth: 260, marginTop: 14 }}>
          <SelectField {...groups.field} />
        </div>
      )}
      <Names>
        {lines.map(({ athlete, patternName, rung }) => (
          <li key={athlete.id}>
            <ButtonLink to={`/floor/${athlete.id}${search}`}>
              <span>
                {athlete.name}
                <br />
                <Quiet as="span" style={{ fontWeight: 450, fontSize: 15 }}>
                  {wanted
                    ? say('nowPatternname', { patternName })
                    : say('patternnameRungRung', { patternName, rung })}
                </Quiet>
              </span>
            </ButtonLink>
          </li>
        ))}
      </Names>
    </Page>
  );
}
