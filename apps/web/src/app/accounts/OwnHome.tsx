import { ROUTES, pathOf } from '@orthokin/contract/routes';
import { Fragment, type ReactElement } from 'react';
import styled from 'styled-components';
import { useClub } from '../../api/club.js';
import { useSquad } from '../../api/squad.js';
import { ButtonAnchor, ButtonLink } from '../../parts/Button.js';
import { Failed } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { SquadLine } from '../../squad/SquadLine.js';
import { say } from '../../words/account.js';

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin: 14px 0 34px;
  a {
    min-height: 64px;
    white-space: normal;
  }
`;

/** The start page of an athlete or guardian: own practice, drills and course. */
export function OwnHome(): ReactElement {
  const { clubId } = useClub();
  const squad = useSquad();
  if (!squad.data)
    return (
      <Page name={say('yours')}>
        {squad.error && <Failed error={squad.error} again={() => void squad.refetch()} />}
      </Page>
    );
  const own = squad.data;
  return (
    <Page name={say('yours')}>
      <Headline>{say('ownHeadline', { count: own.length })}</Headline>
      {own.length === 0 && <Quiet style={{ marginTop: 8 }}>{say('nothingOwn')}</Quiet>}
      <ul style={{ margin: 0, padding: 0, listStyle: 'none' }}>
        {own.map((line) => {
          const { id: athleteId, name } = line.athlete;
          return (
            <Fragment key={athleteId}>
              <SquadLine line={line} />
              <li aria-label={name}>
                <Ways>
                  <ButtonLink $weight="main" to={`/people/${athleteId}/home`}>
                    {say('practise')}
                  </ButtonLink>
                  <ButtonLink to={`/review/athletes/${athleteId}`}>{say('howItGoes')}</ButtonLink>
                  <ButtonAnchor
                    download
                    href={`/api/${pathOf(ROUTES.athleteFile, { clubId, athleteId })}`}
                  >
                    {say('keptOfThem', { name })}
                  </ButtonAnchor>
                </Ways>
              </li>
            </Fragment>
          );
        })}
      </ul>
    </Page>
  );
}
