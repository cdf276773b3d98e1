import { Film as FilmIcon } from 'lucide-react';
import { useEffect, useRef, type ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { download, fileName } from '../../parts/download.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/film.js';
import { percent } from '../../words/format.js';
import { clipOrder, type Clipped } from './clip-order.js';
import type { Film } from '../read/useFilm.js';

/** Exports a rep as a short film with its ribbon, clock, marks and drawings. */
export function ClipPart({
  film: { ask, clipping, clip },
  clipped,
  speed,
}: {
  film: Film;
  clipped: Clipped;
  /** Playing speed, as a share of real time. */
  speed: number;
}): ReactElement {
  const { events, title } = clipped;
  const wanted = useRef<string | null>(null);
  useEffect(() => {
    if (!(clip instanceof Blob) || wanted.current === null) return;
    download(fileName(wanted.current, 'webm'), clip, 'video/webm');
    wanted.current = null;
  }, [clip]);
  const make = () => {
    wanted.current = title;
    ask({ ask: 'clip', order: clipOrder(clipped, speed) });
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
