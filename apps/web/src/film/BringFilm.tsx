import type { ReactElement } from 'react';
import { DropZone, FileTrigger, type DropZoneProps } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../parts/Button.js';
import { Headline, Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { say } from '../words/film.js';

const Drop = styled(DropZone)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  max-width: 640px;
  margin: 18px 0;
  padding: 28px;
  border: 2px dashed ${colour('rule')};
  border-radius: 6px;
  &[data-drop-target] {
    border-color: ${colour('ink')};
  }
`;

/** Lets the coach choose or drop one or several films. */
export function BringFilm({
  onFilm,
  onBack,
}: {
  onFilm: (film: File) => void;
  /** Goes back to the open film; `null` if there is none. */
  onBack: (() => void) | null;
}): ReactElement {
  const drop = async ({ items }: Parameters<NonNullable<DropZoneProps['onDrop']>>[0]) => {
    for (const item of items) if (item.kind === 'file') onFilm(await item.getFile());
  };
  return (
    <>
      <Headline>{say('bringFilm')}</Headline>
      <Drop onDrop={(event) => void drop(event)}>
        <FileTrigger
          acceptedFileTypes={['video/*']}
          allowsMultiple
          onSelect={(files) => {
            for (const file of files ?? []) onFilm(file);
          }}
        >
          <Button weight="main">{say('chooseFilm')}</Button>
        </FileTrigger>
        <Quiet as="span">{say('orDrop')}</Quiet>
      </Drop>
      <Quiet>{say('staysHere')}</Quiet>
      {onBack && (
        <p>
          <Button onPress={onBack}>{say('backToFilm')}</Button>
        </p>
      )}
    </>
  );
}
