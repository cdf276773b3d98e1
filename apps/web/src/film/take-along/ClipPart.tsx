import { frameAt, inRecording, onSetClock, type Alignment } from '@orthokin/core/film';
import { eventOf, type TimedEvent } from '@orthokin/core/timing';
import { Film as FilmIcon } from 'lucide-react';
import { useEffect, useRef, type ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { download, fileName } from '../../parts/download.js';
import { Notice } from '../../parts/Notice.js';
import { PHASE_COLOURS } from '../../parts/phases.js';
import { Quiet } from '../../parts/Text.js';
import { segmentsOf } from '../../parts/ribbon/segments.js';
import { fromCue, say } from '../../words/film.js';
import { percent } from '../../words/format.js';
import type { ClipBand, ClipOrder } from '../read/clip.js';
import type { Film } from '../read/useFilm.js';

const BEFORE_MS = 500;
const AFTER_MS = 500;
const SECOND = 1000;

/** A rep as it is to be encoded: its frames, slowed as it is played here, its ribbon under them. */
function orderOf(
  events: readonly TimedEvent[],
  framesMs: readonly number[],
  alignment: Alignment,
  speed: number,
  title: string,
): ClipOrder {
  const cueMs = eventOf(events, 'cue')?.atMs ?? 0;
  const lastMs = Math.max(...events.map(({ atMs }) => atMs)) - cueMs;
  const [fromMs, toMs] = [-BEFORE_MS, lastMs + AFTER_MS];
  const [from, to] = [fromMs, toMs].map((ms) =>
    frameAt(framesMs, inRecording(alignment, cueMs + ms)),
  ) as [number, number];
  const setMs = framesMs.slice(from, to + 1).map((ms) => onSetClock(alignment, ms) - cueMs);
  const first = setMs[0] ?? 0;
  const lengthMs = (setMs.at(-1) ?? first) - first;
  const share = (ms: number) => Math.min(1, Math.max(0, (ms - first) / lengthMs));
  const bands = segmentsOf(events).flatMap(({ phases, fromMs: start, toMs: end }): ClipBand[] => {
    const [phase] = phases;
    if (phase === undefined) return [];
    const name = phases.join(', ');
    return [{ from: share(start), to: share(end), fill: PHASE_COLOURS[phase], name }];
  });
  return {
    ...{ from, to, bands, title },
    showS: setMs.map((ms) => (ms - first) / SECOND / speed),
    words: setMs.map((ms) => say('fromCue', { at: fromCue(ms) })),
  };
}

/** Takes a rep along as a short film with its ribbon, its clock and its name burnt in. */
export function ClipPart({
  film: { ask, clipping, clip },
  events,
  framesMs,
  alignment,
  speed,
  title,
}: {
  film: Film;
  events: readonly TimedEvent[];
  framesMs: readonly number[];
  alignment: Alignment;
  /** As it is played here, a share of how it was. */
  speed: number;
  title: string;
}): ReactElement {
  const wanted = useRef<string | null>(null);
  useEffect(() => {
    if (!(clip instanceof Blob) || wanted.current === null) return;
    download(fileName(wanted.current, 'webm'), clip, 'video/webm');
    wanted.current = null;
  }, [clip]);
  const make = () => {
    wanted.current = title;
    ask({ ask: 'clip', order: orderOf(events, framesMs, alignment, speed, title) });
  };
  return (
    <>
      <Button isDisabled={clipping !== null || events.length < 2} onPress={make}>
        <FilmIcon size={18} aria-hidden />{' '}
        {clipping === null
          ? say('takeClip', { speed: percent(speed) })
          : say('makingClip', { share: percent(clipping) })}
      </Button>
      {clip === 'failed' && <Notice>{say('clipFailed')}</Notice>}
      {events.length < 2 && <Quiet style={{ fontSize: 15 }}>{say('markForClip')}</Quiet>}
    </>
  );
}
