import type { AthleteReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { cautions } from '../../words/report.js';
import { say } from '../../words/review.js';

/** What has to be borne in mind, on every report. */
export const TakeCare = ({ athlete }: { athlete: AthleteReply }): ReactElement => (
  <>
    <h2>{say('takeCare')}</h2>
    <ul>
      {cautions(athlete).map((caution) => (
        <li key={caution}>{caution}</li>
      ))}
    </ul>
  </>
);
