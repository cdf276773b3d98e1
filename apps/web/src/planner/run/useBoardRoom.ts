import type { BoardNews } from '@orthokin/contract/live-messages';
import { useEffect, useEffectEvent, useState } from 'react';
import { useClub } from '../../api/club.js';
import { useRoom, type Room } from '../../live/useRoom.js';
import { toldOnce } from './board-news.js';

/** The session's room, which its boards, station devices and panel join. */
export function useBoardRoom(): Room & {
  /** Rooms of the drills on the stations' devices, by station, from 1. */
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

/** Sends the boards every change, and everything to a board that joins. */
export function useTelling({ channel }: Pick<Room, 'channel'>, news: BoardNews): void {
  const tell = useEffectEvent((to?: string) => channel?.tell('board', news, to));
  const told = toldOnce(news);
  useEffect(() => tell(), [told, channel]);
  useEffect(() => channel?.on('here', ({ from }) => tell(from)), [channel]);
}
