import { memo, useDeferredValue, type ReactElement } from 'react';
import styled from 'styled-components';
import { MIDDLE } from '../parts/tokens.js';
import { DeskPicture } from './desk/DeskPicture.js';
import { DeskTools } from './desk/DeskTools.js';
import { useDesk } from './desk/useDesk.js';
import type { FilmSubject } from './subject.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(300px, 1fr);
  gap: 16px 32px;
  align-items: start;
  margin-top: 14px;
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Tools = memo(DeskTools);

/** A film beside what it is of: the cues heard, each rep on a strip, its events marked and kept. */
export function FilmDesk({
  subject,
  file,
  filmId,
}: {
  subject: FilmSubject;
  file: Blob;
  /** Under which it is kept, where it is. */
  filmId: string | null;
}): ReactElement {
  const desk = useDesk(subject, file);
  // Whoever steps through frames looks at the picture: what stands beside it follows when there is time.
  const tools = useDeferredValue(desk);
  return (
    <Columns>
      <DeskPicture desk={desk} filmId={filmId} />
      <Tools desk={tools} />
    </Columns>
  );
}
