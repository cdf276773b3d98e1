import { useEffect, useRef, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { keepInPieces } from '../device/film-store.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { download, fileName } from '../parts/download.js';
import { Notice } from '../parts/Notice.js';
import { Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { say } from '../words/join.js';
import type { Joined } from './useJoined.js';
import { useRecorder, type NoCamera } from './useRecorder.js';

const Camera = styled.div`
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 10px;
  min-height: 0;
  video {
    width: 100%;
    height: 100%;
    min-height: 0;
    object-fit: contain;
    background: ${colour('rule')};
  }
  .films {
    display: grid;
    gap: 8px;
  }
  .film {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 14px;
  }
`;

const NO_CAMERA: Readonly<Record<NoCamera, string>> = {
  'not secure': say('cameraNotSecure'),
  'not allowed': say('cameraNotAllowed'),
  none: say('noCamera'),
};

/** A film recorded here. */
interface Filmed {
  readonly setId: string;
  readonly name: string;
  readonly film: File;
  /** The stored film's id; `null` if it could not be stored. */
  readonly filmId: string | null;
}

const nameOf = (athlete: string, kind: string): string =>
  fileName(athlete, kind.includes('mp4') ? 'mp4' : 'webm');

/** Films each set on this screen, from its start to its end. */
export function CameraScreen({ joined: { set } }: { joined: Joined }): ReactElement {
  const { stream, problem, isOn, start, stop, kind } = useRecorder();
  const video = useRef<HTMLVideoElement>(null);
  const [films, setFilms] = useState<readonly Filmed[]>([]);
  useEffect(() => {
    if (video.current) video.current.srcObject = stream;
  }, [stream]);
  const { setId, clubId, athlete } = set ?? {};
  useEffect(() => {
    if (!setId || !clubId || !athlete || !stream) return;
    const kept = keepInPieces({ clubId, setId }, nameOf(athlete, kind), kind);
    start(kept.add);
    return () => {
      void stop()
        .then(kept.end)
        .then(({ film, id }) => {
          if (film.size > 0)
            setFilms((now) => [{ setId, name: athlete, film, filmId: id }, ...now]);
        });
    };
  }, [setId, clubId, athlete, stream, start, stop, kind]);
  return (
    <Camera>
      {problem ? (
        <Notice>{NO_CAMERA[problem]}</Notice>
      ) : (
        <video ref={video} autoPlay muted playsInline aria-label={say('whatCameraSees')} />
      )}
      <div className="films">
        <Quiet role="status">
          {isOn ? say('filmingNow', { athlete: athlete ?? '' }) : say('filmsItself')}
        </Quiet>
        {films.map(({ setId: id, name, film, filmId }) => (
          <div key={id} className="film">
            <span>
              {say('filmedSet', { athlete: name, megabytes: Math.ceil(film.size / 1e6) })}
            </span>
            {filmId && (
              <ButtonLink to={`/film/${id}?film=${filmId}`}>{say('markItHere')}</ButtonLink>
            )}
            <Button onPress={() => download(film.name, film, film.type)}>{say('saveFilm')}</Button>
          </div>
        ))}
      </div>
    </Camera>
  );
}
