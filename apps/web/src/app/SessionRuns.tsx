import type { ReactElement } from 'react';
import { Link, useLocation } from 'react-router';
import { atStation } from '../device/at-station.js';
import { runningPlan } from '../device/running-plan.js';
import { say } from '../words/app.js';

/** A link back to this device's station, or to the session running on it. */
export function SessionRuns(): ReactElement | null {
  // Rerenders on navigation, because a session begins and ends on other pages.
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
