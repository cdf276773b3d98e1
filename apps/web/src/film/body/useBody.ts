import {
  cropOfBody,
  withPoint,
  type Body,
  type BodyCrop,
  type BodyPointName,
} from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { useRef, useState } from 'react';
import { useRemembered } from '../../device/useRemembered.js';
import type { FilmInfo } from '../read/messages.js';
import type { Film } from '../read/useFilm.js';
import { followBody, type FoundByFrame, type Following } from './follow.js';
import { useBodyFinder } from './useBodyFinder.js';

/** Bodies by frame. */
type ByFrame = Readonly<Record<number, Body>>;

/** The finder's state. `nobody`: no body was found; `failed`: the model cannot be used. */
export type Finding = 'idle' | 'looking' | 'nobody' | 'failed';

/** Finding an athlete's body in a film. What is found counts only once somebody confirms it. */
export interface BodyWork {
  readonly isOn: boolean;
  readonly begin: () => void;
  readonly end: () => void;
  /** The clicked point between the hips. */
  readonly hips: Point | null;
  /** Takes first the point between the hips, then the top of the head. */
  readonly click: (at: Point) => void;
  readonly finding: Finding;
  /** In the current frame. */
  readonly body: Body | null;
  readonly isConfirmed: boolean;
  /** In any frame, if known there. */
  readonly bodyAt: (frame: number) => Body | null;
  /** Bodies somebody confirmed. */
  readonly confirmed: ByFrame;
  readonly confirm: () => void;
  readonly move: (name: BodyPointName, at: Point) => void;
  readonly clickAgain: () => void;
  /** Share of the frames followed so far; `null` when not following. */
  readonly following: number | null;
  /** Follows from the current frame to another; `null` if there is no body in it. */
  readonly follow: ((to: number) => void) | null;
  readonly stop: () => void;
}

/** Height pictures are scaled down to; the model only sees a square of 256. */
const MOST_PX = 540;
/** Clicks are rough, so a first search takes three passes, each cropped by the one before. */
const [FIRST_LOOKS, NEXT_LOOKS] = [3, 1];

function without<T>(byFrame: Readonly<Record<number, T>>, frame: number): Record<number, T> {
  const { [frame]: _left, ...others } = byFrame;
  return others;
}

/** Finds the body in the current frame, and follows it from there. */
export function useBody(
  filmKey: string,
  frame: number,
  info: Pick<FilmInfo, 'heightPx'> | null,
  film: Pick<Film, 'frame'>,
): BodyWork {
  const find = useBodyFinder();
  const [confirmed, keep] = useRemembered<ByFrame>(`film-bodies.${filmKey}`, {});
  const [found, setFound] = useState<FoundByFrame>({});
  const [isOn, setOn] = useState(false);
  const [hips, setHips] = useState<Point | null>(null);
  const [finding, setFinding] = useState<Finding>('idle');
  const [following, setFollowing] = useState<number | null>(null);
  /** Counts runs of following: a new one, or a stop, cancels the one before. */
  const run = useRef(0);
  const bodyAt = (at: number): Body | null => confirmed[at] ?? found[at]?.body ?? null;

  const filmPx = info?.heightPx ?? MOST_PX;
  const heightPx = Math.min(MOST_PX, filmPx);
  const lent = (at: number) => film.frame(at, heightPx);
  const look = async (picture: ImageBitmap | null, crop: BodyCrop, looks: number) =>
    picture && find({ picture, scale: filmPx / heightPx, crop, looks });
  const show = (some: FoundByFrame) => setFound((now) => ({ ...now, ...some }));
  const told = (isThere: boolean) => setFinding(isThere ? 'idle' : 'nobody');
  const failed = () => setFinding('failed');
  const lookHere = (crop: BodyCrop) => {
    setFinding('looking');
    return lent(frame)
      .then((picture) => look(picture, crop, FIRST_LOOKS))
      .then((one) => {
        if (one) show({ [frame]: one });
        return one !== null;
      })
      .then(told, failed);
  };
  const followOn = (from: BodyCrop, first: number, last: number) => {
    const own = ++run.current;
    const following: Following = {
      lend: lent,
      look: (picture, crop) => look(picture, crop, NEXT_LOOKS),
      isWanted: () => run.current === own,
      onFound: (some, share) => {
        show(some);
        setFollowing(share);
      },
    };
    return followBody(following, from, first, last)
      .then(told, failed)
      .finally(() => setFollowing(null));
  };
  const body = bodyAt(frame);
  const crop = found[frame]?.next;
  return {
    ...{ isOn, hips, finding, body, bodyAt, confirmed, following },
    isConfirmed: confirmed[frame] !== undefined,
    begin: () => setOn(true),
    end: () => {
      setOn(false);
      setHips(null);
    },
    click: (at) => {
      if (body || finding === 'looking') return;
      setFinding('idle');
      setHips(hips ? null : at);
      if (hips) void lookHere(cropOfBody(hips, at));
    },
    confirm: () => {
      if (body) keep({ ...confirmed, [frame]: body });
    },
    move: (name, at) => {
      if (body) keep({ ...confirmed, [frame]: withPoint(body, name, at) });
    },
    clickAgain: () => {
      keep(without(confirmed, frame));
      setFound(without(found, frame));
      setHips(null);
      setFinding('idle');
    },
    follow: crop ? (to) => void followOn(crop, frame + 1, to) : null,
    stop: () => {
      run.current++;
    },
  };
}
