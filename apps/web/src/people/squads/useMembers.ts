import type { StandingReply } from '@orthokin/contract';
import type { Level } from '@orthokin/core/people';
import { usePeople } from '../../api/people.js';
import { useStandings } from '../../api/squad.js';
import { secondsWithUnit } from '../../words/format.js';
import { say } from '../../words/people.js';
import type { Member } from './MemberList.js';

const levelOf = (id: string, line: StandingReply | undefined): Level => ({
  id,
  rungShare: line ? line.rung / line.rungs : 0,
  cycleMs: line?.standing.change?.afterMs ?? null,
});

/** Everybody who trains, for the lists of squads, with how far each has come. */
export function useMembers(): {
  readonly isReady: boolean;
  readonly error: Error | null;
  readonly everyone: readonly string[];
  readonly member: (id: string) => Member;
  readonly level: (id: string) => Level;
} {
  const people = usePeople();
  const standings = useStandings();
  const training = (people.data ?? []).filter(({ archived }) => !archived);
  const lineOf = (id: string) => standings.data?.find(({ athlete }) => athlete.id === id);
  return {
    isReady: people.data !== undefined && standings.data !== undefined,
    error: people.error ?? standings.error,
    everyone: training.map(({ id }) => id),
    member: (id) => {
      const line = lineOf(id);
      const cycleMs = line?.standing.change?.afterMs;
      return {
        ...{ id, name: training.find((one) => one.id === id)?.name ?? '' },
        about: line
          ? say('levelOf', {
              ...{ rung: line.rung, rungs: line.rungs, pattern: line.patternName },
              cycle: cycleMs === undefined ? '' : `, ${secondsWithUnit(cycleMs)}`,
            })
          : '',
      };
    },
    level: (id) => levelOf(id, lineOf(id)),
  };
}
