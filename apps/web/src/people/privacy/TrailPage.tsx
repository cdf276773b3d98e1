import type { TrailEntryReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { useTrail } from '../../api/privacy.js';
import { FiguresTable, WordsCell, WordsHead } from '../../parts/FiguresTable.js';
import { Failed } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { roleWords } from '../../words/account.js';
import { dayWords, timeWords } from '../../words/format.js';
import { deedWords, say } from '../../words/privacy.js';
import { OnAthlete } from '../OnAthlete.js';

/** The trail of accesses to an athlete's private data. */
export function TrailPage(): ReactElement {
  return <OnAthlete>{({ id, name }) => <Trail athleteId={id} name={name} />}</OnAthlete>;
}

function Trail({ athleteId, name }: { athleteId: string; name: string }) {
  const { data, error, refetch } = useTrail(athleteId);
  return (
    <Page name={say('trailOf', { name })}>
      <Quiet>
        <Link to={`/people/${athleteId}`}>{name}</Link>
      </Quiet>
      {data ? (
        <>
          <Headline style={{ margin: '4px 0 8px' }}>
            {say('trailHeadline', { name, count: new Set(data.map((each) => each.name)).size })}
          </Headline>
          <Quiet style={{ marginBottom: 18, maxWidth: '66ch' }}>{say('trailMeans')}</Quiet>
          {data.length > 0 && <Entries entries={data} />}
        </>
      ) : error ? (
        <Failed error={error} again={() => void refetch()} />
      ) : (
        <Quiet>{say('readingTrail')}</Quiet>
      )}
    </Page>
  );
}

function Entries({ entries }: { entries: readonly TrailEntryReply[] }) {
  return (
    <FiguresTable caption={say('trail')}>
      <thead>
        <tr>
          <WordsHead scope="col">{say('person')}</WordsHead>
          <WordsHead scope="col">{say('what')}</WordsHead>
          <th scope="col">{say('times')}</th>
          <th scope="col">{say('last')}</th>
        </tr>
      </thead>
      <tbody>
        {entries.map(({ id, name, role, matter, deed, ofEverybody, times, lastAt }) => {
          const what = deedWords(deed, matter);
          return (
            <tr key={id}>
              <WordsCell>
                {name} <Quiet as="span">{roleWords(role)}</Quiet>
              </WordsCell>
              <WordsCell>{ofEverybody ? say('withOthers', { what }) : what}</WordsCell>
              <td>{times}</td>
              <td>
                {dayWords(lastAt)} {timeWords(lastAt)}
              </td>
            </tr>
          );
        })}
      </tbody>
    </FiguresTable>
  );
}
