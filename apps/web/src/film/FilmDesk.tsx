import { memo, useDeferredValue, type ReactElement, type ReactNode } from 'react';
import styled from 'styled-components';
import { MIDDLE } from '../parts/tokens.js';
import { DeskPicture } from './desk/DeskPicture.js';
import { DeskTools } from './desk/DeskTools.js';
import { useDesk } from './desk/useDesk.js';
import type { FilmSubject } from './subject.js';

/** On a narrow screen the part about the whole film comes last, below the tools. */
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

/** A film at work: the cues found in it, each rep on a strip, its events marked and kept. */
export function FilmDesk({
  subject,
  file,
  filmId,
  about,
}: {
  subject: FilmSubject;
  file: Blob;
  /** The id it is kept under on this device, if it is. */
  filmId: string | null;
  /** What is shown about the film as a whole. */
  about: ReactNode;
}): ReactElement {
  const desk = useDesk(subject, file);
  // Stepping through frames updates the picture first; the tools beside it follow when there is time.
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
