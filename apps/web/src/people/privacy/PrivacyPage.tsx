import type { PrivacyReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { useKeepFor, usePrivacy } from '../../api/privacy.js';
import { ButtonLink } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Rows } from '../../parts/Rows.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { dayWords, longDay } from '../../words/format.js';
import { KEEP_OPTIONS, say } from '../../words/privacy.js';
import { say as sayOfPeople } from '../../words/people.js';

/** How long athletes are kept, who is kept longer, and who was erased. */
export function PrivacyPage(): ReactElement {
  const { data, error, refetch } = usePrivacy();
  return (
    <Page name={say('title')}>
      <Quiet>
        <Link to="/people">{sayOfPeople('backToPeople')}</Link>
      </Quiet>
      {data ? (
        <Kept kept={data} />
      ) : error ? (
        <Failed error={error} again={() => void refetch()} />
      ) : (
        <Quiet>{say('reading')}</Quiet>
      )}
    </Page>
  );
}

function Kept({ kept: { keepYears, overdue, erasures } }: { kept: PrivacyReply }) {
  const keep = useKeepFor();
  return (
    <>
      <Headline style={{ marginTop: 4 }}>
        {keepYears === null ? say('noReminder') : say('headline', { count: overdue.length })}
      </Headline>
      <div style={{ maxWidth: 340, marginTop: 18 }}>
        <SelectField
          label={say('keepFor')}
          value={String(keepYears ?? 0)}
          options={KEEP_OPTIONS}
          onChange={(years) => keep.mutate(Number(years) || null)}
        />
      </div>
      <Quiet style={{ marginTop: 8, maxWidth: '66ch' }}>{say('keepMeans')}</Quiet>
      {keep.error && <Notice>{keep.error.message}</Notice>}
      {overdue.length > 0 && (
        <Rows aria-label={say('title')}>
          {overdue.map(({ athleteId, name, lastDay }) => (
            <li key={athleteId}>
              <div>
                <strong>{name}</strong>
                <small>{say('lastSeen', { day: longDay(lastDay) })}</small>
              </div>
              <ButtonLink
                to={`/people/${athleteId}/details#leaving`}
                aria-label={say('decideFor', { name })}
              >
                {say('decide')}
              </ButtonLink>
            </li>
          ))}
        </Rows>
      )}
      <section style={{ marginTop: 34, maxWidth: '66ch' }}>
        <Heading>{say('erased')}</Heading>
        {erasures.length === 0 && <Quiet>{say('nobodyErased')}</Quiet>}
        {erasures.length > 0 && (
          <ul aria-label={say('erased')}>
            {erasures.map(({ id, how, sets, reps, by, at }) => (
              <li key={id}>{say('erasedRow', { day: dayWords(at), by, how, sets, reps })}</li>
            ))}
          </ul>
        )}
        <Quiet style={{ marginTop: 18 }}>{say('sealed')}</Quiet>
      </section>
    </>
  );
}
