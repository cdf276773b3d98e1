import type { ReactElement } from 'react';
import { Link, useLocation } from 'react-router';
import { runningPlan } from '../device/running-plan.js';
import { say } from '../words/app.js';

/** The way back to the session that is being run here, from wherever one went meanwhile. */
export function SessionRuns(): ReactElement | null {
  // It begins and ends on other pages: looked at anew with every way.
  useLocation();
  const planId = runningPlan();
  return planId === null ? null : <Link to={`/plan/${planId}/run`}>{say('backToSession')}</Link>;
}
