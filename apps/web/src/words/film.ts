import type { Alignment, BodyAngles, BodyPointName, SlowFactor } from '@orthokin/core/film';
import { film as en } from './en/film.js';
import { seconds } from './format.js';
import { speaker } from './say.js';

/** What is said in the film room. */
export const say = speaker(en);

/** From where a film was taken. */
const ANGLES = {
  front: say('fromFront'),
  side: say('fromSide'),
  behind: say('fromBehind'),
  above: say('fromAbove'),
} as const;
export const angleWords = (angle: keyof typeof ANGLES): string => ANGLES[angle];

const BODY_POINT_WORDS: Readonly<Record<BodyPointName, string>> = {
  nose: say('nose'),
  ...{ leftShoulder: say('leftShoulder'), rightShoulder: say('rightShoulder') },
  ...{ leftElbow: say('leftElbow'), rightElbow: say('rightElbow') },
  ...{ leftWrist: say('leftWrist'), rightWrist: say('rightWrist') },
  ...{ leftHip: say('leftHip'), rightHip: say('rightHip') },
  ...{ leftKnee: say('leftKnee'), rightKnee: say('rightKnee') },
  ...{ leftAnkle: say('leftAnkle'), rightAnkle: say('rightAnkle') },
  ...{ leftHeel: say('leftHeel'), rightHeel: say('rightHeel') },
  ...{ leftToe: say('leftToe'), rightToe: say('rightToe') },
};
/** A point of the body. */
export const bodyPointWords = (name: BodyPointName): string => BODY_POINT_WORDS[name];

const BODY_ANGLE_WORDS: Readonly<Record<keyof BodyAngles, string>> = {
  ...{ leftKnee: say('leftKnee'), rightKnee: say('rightKnee') },
  ...{ leftHip: say('leftHip'), rightHip: say('rightHip') },
  ...{ trunkLean: say('trunkLean'), hipHeight: say('hipHeight') },
};
/** An angle of the body, or the height of its hips. */
export const bodyAngleWords = (name: keyof BodyAngles): string => BODY_ANGLE_WORDS[name];

/** The smallest error shown. */
const LEAST_SHOWN_MS = 1;

/** Milliseconds as seconds with three decimals: film is finer than a hand. */
export const fineSeconds = (ms: number): string => (ms / 1000).toFixed(3);

/** A moment from the cue, with its sign. */
export const fromCue = (ms: number): string =>
  `${Math.round(ms) < 0 ? '−' : '+'}${fineSeconds(Math.abs(ms))}`;

/** What the film was tied to the set by, and how surely. */
export function tieSentences(
  alignment: Alignment | null,
  {
    cues,
    marked,
    tones,
    heard,
    isByHand = false,
    slowed = null,
    tagged = null,
    capturedPerS = null,
  }: {
    cues: number;
    marked: number;
    tones: number;
    heard: boolean;
    isByHand?: boolean;
    /** The slow motion somebody chose, and the film's own tags. */
    slowed?: SlowFactor | null;
    tagged?: SlowFactor | null;
    capturedPerS?: number | null;
  },
): string[] {
  if (!alignment && isByHand) return [say('setAside')];
  if (!alignment)
    return [
      say('notHeard', { tones }),
      slowed === null ? say('otherSet') : say('notSlowedSo', { factor: slowed }),
    ];
  const sure = fineSeconds(Math.max(LEAST_SHOWN_MS, alignment.sdMs));
  const factor = Math.round(alignment.rate);
  return [
    heard
      ? say('heardCues', { heard: alignment.heard.size, cues, sure, marked })
      : say('twoCuesMarked', { sure: seconds(alignment.sdMs) }),
    ...(factor > 1 ? [say('slowed', { factor })] : []),
    ...(capturedPerS !== null && tagged !== factor
      ? [say('liesOfItself', { capturedPerS: Math.round(capturedPerS) })]
      : []),
    ...(alignment.strays.length > 0 ? [say('strays', { count: alignment.strays.length })] : []),
  ];
}

/** A length with its error, no finer than that. */
export const measuredWords = ({ m, sdM }: { readonly m: number; readonly sdM: number }): string =>
  say('metres', { m: m.toFixed(2), sd: Math.max(0.01, sdM).toFixed(2) });

/** A length in shoulder widths. */
export const inShoulders = ({ m }: { readonly m: number }, shoulderM: number): string =>
  say('shouldersWide', { times: (m / shoulderM).toFixed(1) });
