import type { SquadLineReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { SQUAD_NEEDS } from '@orthokin/core/progress';
import { UserPlus } from 'lucide-react';
import { lazy, Suspense, useDeferredValue, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { ForWhom } from '../api/ForWhom.js';
import { useSquad } from '../api/squad.js';
import { useGroupFilter } from '../api/useGroupFilter.js';
import { useRemembered } from '../device/useRemembered.js';
import { atRest } from '../parts/at-rest.js';
import { ButtonLink } from '../parts/Button.js';
import { Failed } from '../parts/Notice.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour, NARROW } from '../parts/tokens.js';
import { SquadLine } from './SquadLine.js';
import type { SquadOrder } from './SquadTools.js';
import { needHeading, say, squadSentence } from '../words/squad.js';

/** Loaded after the list itself: who needs the coach must show first. */
const SquadTools = lazy(async () => {
  await atRest(100);
  return { default: (await import('./SquadTools.js')).SquadTools };
});

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  margin-top: 16px;
  min-height: 44px;
  .choice {
    flex: 0 1 230px;
  }
  .more {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    margin-left: auto;
  }
  @media (max-width: ${NARROW}) {
    .choice {
      flex: 1 1 140px;
    }
    .more {
      flex: 1 0 100%;
      gap: 8px;
    }
    .more a {
      flex: 1 1 auto;
      padding-inline: 10px;
    }
  }
`;

const Need = styled.section`
  margin-top: 22px;
  h2 {
    margin: 0;
    padding-bottom: 6px;
    border-bottom: 2px solid ${colour('rule')};
    font-size: 16px;
    font-weight: 650;
    color: ${colour('quiet')};
  }
  &[data-need='can move up'] h2 {
    color: ${colour('good')};
  }
  ul {
    margin: 0;
    padding: 0;
    list-style: none;
  }
`;

/** Fewer athletes are seen at a glance, without searching. */
const FEWEST_TO_SEARCH = 7;

/** Lines by heading, most pressing first, without empty headings. */
const byNeed = (lines: readonly SquadLineReply[]) =>
  SQUAD_NEEDS.map((need) => [need, lines.filter((line) => line.need === need)] as const).filter(
    ([, some]) => some.length > 0,
  );

const Lines = ({ lines }: { lines: readonly SquadLineReply[] }): ReactElement => (
  <ul>
    {lines.map((line) => (
      <SquadLine key={line.athlete.id} line={line} />
    ))}
  </ul>
);

/** The squad: who needs the coach for what, their newest days, and buttons to start a drill. */
export function SquadPage(): ReactElement {
  const squad = useSquad();
  const groups = useGroupFilter();
  const [order, setOrder] = useRemembered<SquadOrder>('squad-order', 'need');
  const [text, setText] = useState('');
  const wanted = useDeferredValue(text.trim().toLocaleLowerCase());
  const all = squad.data && groups.of(squad.data, ({ athlete }) => athlete.id);
  const lines = (all ?? []).filter(({ athlete }) =>
    athlete.name.toLocaleLowerCase().includes(wanted),
  );
  const orders: readonly (readonly [SquadOrder, string])[] = [
    ['need', say('byNeed')],
    ['name', say('byName')],
    ...(groups.group ? [['squad', say('bySquad')] as const] : []),
  ];
  const shown = orders.some(([name]) => name === order) ? order : 'need';
  const byName = [...lines].sort((a, b) => a.athlete.name.localeCompare(b.athlete.name));
  return (
    <Page name={say('squad')}>
      <Headline>{all ? squadSentence(all) : say('squad')}</Headline>
      {squad.error && !all && <Failed error={squad.error} again={() => void squad.refetch()} />}
      {squad.isPending && <Quiet>{say('readingSquad')}</Quiet>}
      {all && (
        <Tools>
          <Suspense fallback={null}>
            <SquadTools
              search={all.length >= FEWEST_TO_SEARCH ? { text, onChange: setText } : null}
              group={groups.field}
              order={all.length > 1 ? { value: shown, options: orders, onChange: setOrder } : null}
            />
          </Suspense>
          <div className="more">
            <ForWhom asks={ROUTES.addAthletes}>
              <ButtonLink to="/people/new" $weight={all.length === 0 ? 'main' : 'plain'}>
                <UserPlus size={18} aria-hidden /> {say('addAthlete')}
              </ButtonLink>
            </ForWhom>
            <ForWhom asks={ROUTES.people}>
              <ButtonLink to="/people">{say('everyone')}</ButtonLink>
            </ForWhom>
          </div>
        </Tools>
      )}
      {all && all.length > 0 && lines.length === 0 && (
        <Quiet style={{ marginTop: 20 }}>{say('nobodyFound', { text: text.trim() })}</Quiet>
      )}
      {shown === 'need' ? (
        byNeed(byName).map(([need, some]) => (
          <Need key={need} data-need={need} aria-label={needHeading(need)}>
            <h2>{needHeading(need)}</h2>
            <Lines lines={some} />
          </Need>
        ))
      ) : (
        <Need>
          <Lines lines={shown === 'squad' ? lines : byName} />
        </Need>
      )}
    </Page>
  );
}
