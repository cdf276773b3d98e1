import { frameRate, taggedFactor, type Alignment, type SlowFactor } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { Notice } from '../../parts/Notice.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { say, tieSentences } from '../../words/film.js';
import { percent } from '../../words/format.js';
import type { Film } from '../read/useFilm.js';

const WHY_UNREADABLE = {
  'no film': 'noFilm',
  'no picture': 'noPicture',
  frames: 'noFrames',
} as const;

/** How the film is tied to its set, or why it cannot be read. */
export function TieNote({
  info,
  unreadable,
  hearing,
  heard,
  alignment,
  cues,
  marked,
  isByHand,
  slowed,
  isOfSet = true,
}: Pick<Film, 'info' | 'unreadable' | 'hearing' | 'heard'> & {
  alignment: Alignment | null;
  cues: number;
  marked: number;
  /** Whether the cues found in the sound are ignored. */
  isByHand: boolean;
  /** The slow motion somebody chose, if any. */
  slowed: SlowFactor | null;
  /** A pattern's film has no cues to find. */
  isOfSet?: boolean;
}): ReactElement {
  if (unreadable)
    return (
      <Notice>
        {unreadable.why === 'codec'
          ? say('codec', { codec: unreadable.codec })
          : say(WHY_UNREADABLE[unreadable.why])}
      </Notice>
    );
  if (!info) return <Quiet>{say('opening')}</Quiet>;
  if (isOfSet && (hearing !== null || !heard))
    return <Quiet role="status">{say('listening', { share: percent(hearing ?? 0) })}</Quiet>;
  const { gapMs, varies } = frameRate(info.framesMs);
  const [first, ...others] =
    isOfSet && heard
      ? tieSentences(alignment, {
          ...{ cues, marked, isByHand, slowed, tones: heard.tones },
          tagged: taggedFactor(info.capturedPerS, info.framesMs),
          capturedPerS: info.capturedPerS,
          heard: heard.alignment !== null && !isByHand,
        })
      : [say('markItsCue'), ...(marked > 0 ? [say('targetsMarked', { marked, cues })] : [])];
  return (
    <>
      <Headline as="p" style={{ fontSize: 22 }}>
        {first}
      </Headline>
      {others.map((sentence) => (
        <Quiet key={sentence}>{sentence}</Quiet>
      ))}
      {gapMs > 0 && (
        <Quiet style={{ fontSize: 15 }}>
          {say('gaps', {
            rate: Math.round((1000 / gapMs) * (alignment?.rate ?? 1)),
            varies: varies ? say('notEvenly') : '',
          })}
        </Quiet>
      )}
    </>
  );
}
