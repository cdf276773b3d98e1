import type { ReactElement } from 'react';
import { FileTrigger } from 'react-aria-components';
import { useBringClub } from '../../api/club.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/review.js';

/** Brings a whole club in from the file it was taken out as. */
export function BringClub(): ReactElement {
  const bring = useBringClub();
  return (
    <>
      <FileTrigger
        acceptedFileTypes={['application/zip', '.zip']}
        onSelect={(files) => {
          const file = files?.[0];
          if (file) bring.mutate(file);
        }}
      >
        <Button isDisabled={bring.isPending}>{say('chooseClubZip')}</Button>
      </FileTrigger>
      <Quiet style={{ marginTop: 8 }}>
        {bring.isPending
          ? say('bringingClub')
          : bring.data
            ? say('dataHere', { data: bring.data.name })
            : say('allComesNothingClubHereAlready')}
      </Quiet>
      {bring.error && <Notice>{bring.error.message}</Notice>}
    </>
  );
}
