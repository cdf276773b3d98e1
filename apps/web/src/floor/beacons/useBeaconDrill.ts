import { v7 } from 'uuid';
import { useEffect } from 'react';
import type { BeaconLink } from '../../beacons/link.js';
import { placeEvent } from '@orthokin/core/run';
import type { Session } from '../../drill/session.js';
import type { SetClock } from '../../drill/set-clock.js';

/** Times a set by beacons: arms them at its start, and adds their events to the reps. */
export function useBeaconDrill(link: BeaconLink | null, session: Session, clock: SetClock): void {
  useEffect(() => {
    if (!link) return;
    const { plan } = session.snapshot().run;
    link.arm({
      athlete: plan.simulated,
      sessionsBefore: plan.sessionsBefore,
      targets: Object.fromEntries(plan.pattern.targets.map(({ letter, at }) => [letter, at])),
    });
    return link.onNoticed(({ place, event }) => {
      const atMs = clock.at(event.atMs - performance.timeOrigin);
      const sdMs = Math.round(event.sdMs * 10) / 10;
      const timed = { ...event, atMs, sdMs };
      // Decided within the commit: earlier events may still be waiting to be written.
      void session.commit((run) =>
        event.name === 'cue' ? { type: 'lit', cue: timed } : placeEvent(run, place, timed, v7),
      );
    });
  }, [link, session, clock]);
}
