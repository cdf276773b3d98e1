import { frameRate, taggedFactor, type Alignment, type SlowFactor } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { Notice } from '../../parts/Notice.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { say, tieSentences } from '../../words/film.js';
import { percent } from '../../words/format.js';
import type { Film } from '../read/useFilm.js';

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
}: Pick<Film, 'info' | 'unreadable' | 'hearing' | 'heard'> & {
  alignment: Alignment | null;
  cues: number;
  marked: number;
  /** What was heard is set aside. */
  isByHand: boolean;
  /** How many times slowed somebody says it is. */
  slowed: SlowFactor | null;
}): ReactElement {
  if (unreadable)
    return (
      <Notice>
        {unreadable.why === 'codec'
          ? say('codec', { codec: unreadable.codec })
          : say(unreadable.why === 'no film' ? 'noFilm' : 'noPicture')}
      </Notice>
    );
  if (!info) return <Quiet>{say('opening')}</Quiet>;
  if (hearing !== null || !heard)
    return <Quiet role="status">{say('listening', { share: percent(hearing ?? 0) })}</Quiet>;
  const { gapMs, varies } = frameRate(info.framesMs);
  const [first, ...others] = tieSentences(alignment, {
    ...{ cues, marked, isByHand, slowed, tones: heard.tones },
    tagged: taggedFactor(info.capturedPerS, info.framesMs),
    capturedPerS: info.capturedPerS,
    heard: heard.alignment !== null && !isByHand,
  });
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
