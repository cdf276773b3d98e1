import type { ReactElement } from 'react';
import { Link, useLocation } from 'react-router';
import { atStation } from '../device/at-station.js';
import { runningPlan } from '../device/running-plan.js';
import { say } from '../words/app.js';

/** The way back to the station this device is at, or to the session that is being run here, from wherever one went meanwhile. */
export function SessionRuns(): ReactElement | null {
  // It begins and ends on other pages: looked at anew with every way.
  useLocation();
  const planId = runningPlan();
  const at = atStation();
  if (at)
    return (
      <Link to={`/join/${at.room}?as=station-${at.station}`}>
        {say('backToStation', { n: at.station })}
      </Link>
    );
  return planId === null ? null : <Link to={`/plan/${planId}/run`}>{say('backToSession')}</Link>;
}
