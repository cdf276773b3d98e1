import { memo, useDeferredValue, type ReactElement, type ReactNode } from 'react';
import styled from 'styled-components';
import { MIDDLE } from '../parts/tokens.js';
import { DeskPicture } from './desk/DeskPicture.js';
import { DeskTools } from './desk/DeskTools.js';
import { useDesk } from './desk/useDesk.js';
import type { FilmSubject } from './subject.js';

/** On a narrow screen what is about the whole film stands last, behind the tools. */
const Columns = styled.div`
  display: grid;
  grid-template:
    'picture tools' auto
    'about tools' 1fr / minmax(0, 1.7fr) minmax(300px, 1fr);
  gap: 16px 32px;
  align-items: start;
  margin-top: 14px;
  .picture {
    grid-area: picture;
  }
  .tools {
    grid-area: tools;
  }
  .about {
    grid-area: about;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template: 'picture' 'tools' 'about' / minmax(0, 1fr);
  }
`;

const Tools = memo(DeskTools);

/** A film beside what it is of: the cues heard, each rep on a strip, its events marked and kept. */
export function FilmDesk({
  subject,
  file,
  filmId,
  about,
}: {
  subject: FilmSubject;
  file: Blob;
  /** Under which it is kept, where it is. */
  filmId: string | null;
  /** What can be said of the film as a whole. */
  about: ReactNode;
}): ReactElement {
  const desk = useDesk(subject, file);
  // Whoever steps through frames looks at the picture: what stands beside it follows when there is time.
  const tools = useDeferredValue(desk);
  return (
    <Columns>
      <div className="picture">
        <DeskPicture desk={desk} filmId={filmId} />
      </div>
      <div className="tools">
        <Tools desk={tools} />
      </div>
      <div className="about">{about}</div>
    </Columns>
  );
}
