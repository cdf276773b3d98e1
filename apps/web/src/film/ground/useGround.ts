import { distanceOf, FEWEST_PLACES, groundOf, onFloor, type Ground } from '@orthokin/core/film';
import { HOME, type Point } from '@orthokin/core/floor';
import type { Pattern } from '@orthokin/core/pattern';
import { useMemo, useState } from 'react';
import { useRemembered } from '../../device/useRemembered.js';

/** A place on the floor to click: home base, or a target by its letter. */
export interface Place {
  readonly letter: string;
  readonly floor: Point;
}

export const HOME_PLACE = 'home';

/** The clicked places of a film's floor; `null` if a place is outside the picture. */
type Clicked = Readonly<Record<string, Point | null>>;

/** A length on the floor, m. */
export interface Measured {
  readonly from: Point;
  readonly to: Point;
  readonly m: number;
  readonly sdM: number;
}

export interface GroundWork {
  readonly isOn: boolean;
  readonly begin: () => void;
  readonly end: () => void;
  readonly again: () => void;
  /** The next place to click; `null` once all are clicked or skipped. */
  readonly asked: Place | null;
  readonly clicked: readonly Point[];
  readonly ground: Ground | null;
  /** The frame the places were clicked in, for telling whether the camera moved. */
  readonly clickedIn: number | null;
  readonly problem: boolean;
  /** The first end of a length, while the second is awaited. */
  readonly from: Point | null;
  readonly measured: Measured | null;
  readonly click: (at: Point) => void;
  readonly passOver: () => void;
}

/** Standard deviation of a click, screen pixels. */
const CLICK_SD_PX = 2;

const placesOf = ({ targets }: Pick<Pattern, 'targets'>): Place[] => [
  ...targets.map(({ letter, at }) => ({ letter, floor: at })),
  { letter: HOME_PLACE, floor: HOME },
];

/**
 * The floor in a film: the coach clicks its markers one after another, and then measures lengths by two clicks each.
 * @param pxPerScreenPx film pixels per screen pixel
 * @param frame a frame in which the camera stands as it does now: the cue's of the current rep
 */
export function useGround(
  filmKey: string,
  floor: Pick<Pattern, 'targets'>,
  pxPerScreenPx: number,
  frame: number,
): GroundWork {
  const [isOn, setOn] = useState(false);
  const [clicks, keep] = useRemembered<Clicked>(`film-ground.${filmKey}`, {});
  const [clickedIn, keepClickedIn] = useRemembered<number | null>(
    `film-ground-frame.${filmKey}`,
    null,
  );
  const [ends, setEnds] = useState<readonly Point[]>([]);
  const sdPx = CLICK_SD_PX * pxPerScreenPx;
  const places = useMemo(() => placesOf(floor), [floor]);
  const asked = places.find(({ letter }) => clicks[letter] === undefined) ?? null;
  const known = useMemo(
    () =>
      places.flatMap(({ letter, floor: at }) => {
        const image = clicks[letter];
        return image ? [{ floor: at, image }] : [];
      }),
    [places, clicks],
  );
  const fit = useMemo(
    () => (known.length >= FEWEST_PLACES ? groundOf(known, sdPx) : null),
    [known, sdPx],
  );
  const ground = fit?.ok ? fit.value : null;
  const [from, to] = ends;
  const measured =
    ground && from && to
      ? { from, to, ...distanceOf(onFloor(ground, from), onFloor(ground, to)) }
      : null;
  return {
    ...{ isOn, asked, ground, measured, clickedIn },
    problem: (fit !== null && !fit.ok) || (asked === null && known.length < FEWEST_PLACES),
    clicked: known.map(({ image }) => image),
    from: measured ? null : (from ?? null),
    begin: () => setOn(true),
    end: () => setOn(false),
    again: () => {
      keep({});
      setEnds([]);
    },
    click: (at) => {
      if (asked) {
        keep({ ...clicks, [asked.letter]: at });
        keepClickedIn(frame);
      }
      if (!asked && ground) setEnds(ends.length === 1 ? [...ends, at] : [at]);
    },
    passOver: () => {
      if (asked) keep({ ...clicks, [asked.letter]: null });
    },
  };
}
