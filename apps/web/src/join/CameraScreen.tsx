import { useEffect, useRef, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { keepFilm } from '../device/film-store.js';
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

/** A set that was filmed here. */
interface Filmed {
  readonly setId: string;
  readonly name: string;
  readonly film: File;
  readonly isKept: boolean;
}

const nameOf = (athlete: string, kind: string): string =>
  fileName(athlete, kind.includes('mp4') ? 'mp4' : 'webm');

/** This screen films: from the moment a set is on until it is over, each set a film of its own. */
export function CameraScreen({ joined: { set } }: { joined: Joined }): ReactElement {
  const { stream, problem, isOn, start, stop } = useRecorder();
  const video = useRef<HTMLVideoElement>(null);
  const [films, setFilms] = useState<readonly Filmed[]>([]);
  useEffect(() => {
    if (video.current) video.current.srcObject = stream;
  }, [stream]);
  const { setId, clubId, athlete } = set ?? {};
  useEffect(() => {
    if (!setId || !clubId || !athlete || !stream) return;
    start();
    return () => {
      void stop().then(async (made) => {
        if (!made) return;
        const name = nameOf(athlete, made.type);
        const film = new File([made], name, { type: made.type });
        const isKept = await keepFilm({ clubId, setId }, film).then(
          () => true,
          () => false,
        );
        setFilms((now) => [{ setId, name: athlete, film, isKept }, ...now]);
      });
    };
  }, [setId, clubId, athlete, stream, start, stop]);
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
        {films.map(({ setId: id, name, film, isKept }) => (
          <div key={id} className="film">
            <span>
              {say('filmedSet', { athlete: name, megabytes: Math.ceil(film.size / 1e6) })}
            </span>
            {isKept && <ButtonLink to={`/film/${id}`}>{say('markItHere')}</ButtonLink>}
            <Button onPress={() => download(film.name, film, film.type)}>{say('saveFilm')}</Button>
          </div>
        ))}
      </div>
    </Camera>
  );
}
