import {
  firstRound,
  GAME_WAYS,
  MOST_COURTS,
  nextRound,
  winsOf,
  type GameWay,
} from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import type { Game, Played } from '../../device/running-plan.js';
import { Button } from '../../parts/Button.js';
import { CountField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Quiet } from '../../parts/Text.js';
import { commaList } from '../../words/format.js';
import { say, wayWords } from '../../words/game.js';
import { ShortFields } from '../ShortFields.js';
import { Places } from './Places.js';

const unplayed = (round: Played['round']): Played => ({
  round,
  winners: round.courts.map(() => ''),
});

const WAYS = GAME_WAYS.map((way) => [way, wayWords(way)] as const);

/** Referees a game of pairs: winners are pressed, and the next round is drawn. */
export function Courts({
  athleteIds,
  game,
  nameOf,
  onChange,
}: {
  athleteIds: readonly string[];
  /** `null` before it has begun. */
  game: Game | null;
  nameOf: (athleteId: string) => string;
  onChange: (game: Game) => void;
}): ReactElement {
  const most = Math.max(1, Math.min(MOST_COURTS, Math.floor(athleteIds.length / 2)));
  const [courts, setCourts] = useState(most);
  const [way, setWay] = useState<GameWay>('up a court, down a court');
  if (!game)
    return (
      <ShortFields>
        <CountField label={say('courts')} value={courts} min={1} max={most} onChange={setCourts} />
        <SelectField label={say('way')} value={way} options={WAYS} onChange={setWay} />
        <Button
          isDisabled={athleteIds.length < 2}
          onPress={() =>
            onChange({ way, played: [], on: unplayed(firstRound(athleteIds, courts)) })
          }
        >
          {say('pairUp')}
        </Button>
      </ShortFields>
    );
  const { on, played } = game;
  const isPlayed = on.winners.every((id) => id !== '');
  const won = winsOf([...played, on]);
  const win = (court: number, id: string) =>
    onChange({
      ...game,
      on: {
        ...on,
        winners: on.winners.map((one, i) => (i !== court ? one : one === id ? '' : id)),
      },
    });
  const last = played.at(-1);
  return (
    <>
      <Places>
        {on.round.courts.map((pair, court) => (
          <section key={court} aria-label={say('court', { n: court + 1 })}>
            <Quiet>{say('court', { n: court + 1 })}</Quiet>
            {pair.map((id) => (
              <Button
                key={id}
                aria-pressed={on.winners[court] === id}
                weight={on.winners[court] === id ? 'main' : 'plain'}
                onPress={() => win(court, id)}
              >
                {nameOf(id)}
              </Button>
            ))}
          </section>
        ))}
      </Places>
      <p style={{ margin: 0 }}>
        {say('pressWinner')}
        {on.round.waits.length > 0 &&
          ` ${say('waits', { names: commaList(on.round.waits.map(nameOf)) })}`}
      </p>
      <p style={{ display: 'flex', flexWrap: 'wrap', gap: 10, margin: 0 }}>
        <Button
          isDisabled={!isPlayed}
          onPress={() =>
            onChange({
              ...game,
              played: [...played, on],
              on: unplayed(nextRound(on.round, on.winners, game.way)),
            })
          }
        >
          {say('nextRound')}
        </Button>
        <Button
          isDisabled={!last}
          onPress={() => last && onChange({ ...game, played: played.slice(0, -1), on: last })}
        >
          {say('roundBack')}
        </Button>
        <Button
          isDisabled={athleteIds.length < 2}
          onPress={() =>
            onChange({
              ...game,
              on: unplayed(firstRound(athleteIds, on.round.courts.length)),
            })
          }
        >
          {say('pairAnew')}
        </Button>
      </p>
      <Quiet role="status">
        {say('wins', {
          rounds: played.length,
          wins: commaList(
            won.map(({ athleteId, wins }) => say('winsOf', { name: nameOf(athleteId), wins })),
          ),
        })}
      </Quiet>
    </>
  );
}
