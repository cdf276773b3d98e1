import type { BoardNews } from '@orthokin/contract/live-messages';
import { useEffect, useEffectEvent, useState } from 'react';
import { useClub } from '../../api/club.js';
import { useRoom, type Room } from '../../live/useRoom.js';
import { toldOnce } from './board-news.js';

/** The room of the session: its boards, the devices at its stations, and a panel over all. */
export function useBoardRoom(): Room & {
  /** Rooms of the drills of the devices at the stations, counted from 1. */
  readonly rooms: ReadonlyMap<number, string>;
} {
  const room = useRoom(useClub().clubId, 'session');
  const [rooms, setRooms] = useState<ReadonlyMap<number, string>>(new Map());
  const { channel } = room;
  useEffect(
    () =>
      channel?.on('at', ({ body }) =>
        setRooms((were) => new Map(were).set(body.station, body.room)),
      ),
    [channel],
  );
  return { ...room, rooms };
}

/** Keeps the boards told: with every change, and whoever comes. */
export function useTelling({ channel }: Pick<Room, 'channel'>, news: BoardNews): void {
  const tell = useEffectEvent((to?: string) => channel?.tell('board', news, to));
  const told = toldOnce(news);
  useEffect(() => tell(), [told, channel]);
  useEffect(() => channel?.on('here', ({ from }) => tell(from)), [channel]);
}
