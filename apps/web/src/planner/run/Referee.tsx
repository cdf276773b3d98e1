import { gameOf, isCatching, thoseIn, type Block } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { CallAndCatch } from './CallAndCatch.js';
import { Courts } from './Courts.js';
import { Teams } from './Teams.js';
import type { useRunningPlan } from './useRunningPlan.js';

/** The app's part in a game: pairing, calling, counting. */
export function Referee({
  block,
  board: { running, run, reach },
  nameOf,
}: {
  block: Block;
  board: ReturnType<typeof useRunningPlan>;
  nameOf: (athleteId: string) => string;
}): ReactElement | null {
  const form = gameOf(block);
  const common = { athleteIds: thoseIn(block, run.athleteIds), nameOf };
  if (form === 'courts')
    return (
      <Courts
        {...common}
        game={running.games[block.id] ?? null}
        onChange={(game) => reach('games', block.id, game)}
      />
    );
  if (form === 'teams')
    return (
      <Teams
        {...common}
        teams={running.teams[block.id] ?? null}
        onChange={(teams) => reach('teams', block.id, teams)}
      />
    );
  return form && isCatching(form) ? (
    <CallAndCatch
      {...common}
      form={form}
      calls={running.calls[block.id] ?? []}
      onChange={(calls) => reach('calls', block.id, calls)}
    />
  ) : null;
}
