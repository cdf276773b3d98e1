import { TEAMS, teamsOf, type Team } from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { CountField } from '../../parts/form/NumberFields.js';
import { Quiet } from '../../parts/Text.js';
import { commaList } from '../../words/format.js';
import { say } from '../../words/game.js';
import { useByRung } from '../useByRung.js';
import { ShortFields } from '../ShortFields.js';
import { Places } from './Places.js';
import { useBoardKeys } from './useBoardKeys.js';

/** Referees a game of teams, which are balanced by rung; a press counts a point. */
export function Teams({
  athleteIds,
  teams,
  nameOf,
  onChange,
}: {
  athleteIds: readonly string[];
  /** `null` before they are made. */
  teams: readonly Team[] | null;
  nameOf: (athleteId: string) => string;
  onChange: (teams: readonly Team[]) => void;
}): ReactElement {
  const inOrder = useByRung();
  const most = Math.max(TEAMS[0], Math.min(TEAMS[1], athleteIds.length));
  const [before, setBefore] = useState<readonly Team[] | null>(null);
  const [count, setCount] = useState<number>(TEAMS[0]);
  // From the highest rung down: dealing in that order balances the teams.
  const make = (of: number) => onChange(teamsOf(inOrder(athleteIds).reverse(), of));
  const point = (at: number, by: number) => {
    if (teams?.[at])
      onChange(
        teams.map((team, i) =>
          i === at ? { ...team, points: Math.max(0, team.points + by) } : team,
        ),
      );
  };
  useBoardKeys((key) => point(Number(key) - 1, 1));
  if (!teams)
    return (
      <ShortFields>
        <CountField
          label={say('teams')}
          value={count}
          min={TEAMS[0]}
          max={most}
          onChange={setCount}
        />
        <Button isDisabled={athleteIds.length < 2} onPress={() => make(count)}>
          {say('makeTeams')}
        </Button>
      </ShortFields>
    );
  return (
    <>
      <Places>
        {teams.map((team, i) => (
          <section key={i} aria-label={say('team', { n: i + 1 })}>
            <Quiet>
              {say('team', { n: i + 1 })} · {say('countKey', { n: i + 1 })}
            </Quiet>
            <span className="n" role="status">
              {team.points}
            </span>
            <span>{commaList(team.athleteIds.map(nameOf))}</span>
            <Button
              weight="main"
              aria-label={say('onePoint', { n: i + 1 })}
              onPress={() => point(i, 1)}
            >
              +1
            </Button>
            <Button
              aria-label={say('pointLess', { n: i + 1 })}
              isDisabled={team.points === 0}
              onPress={() => point(i, -1)}
            >
              −1
            </Button>
          </section>
        ))}
      </Places>
      <p style={{ display: 'flex', gap: 10, margin: 0 }}>
        <Button
          isDisabled={athleteIds.length < 2}
          onPress={() => {
            setBefore(teams);
            make(teams.length);
          }}
        >
          {say('teamsAnew')}
        </Button>
        {before && (
          <Button
            onPress={() => {
              setBefore(null);
              onChange(before);
            }}
          >
            {say('teamsBefore')}
          </Button>
        )}
      </p>
    </>
  );
}
