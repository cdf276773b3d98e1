import type { ReactElement } from 'react';
import { FileTrigger } from 'react-aria-components';
import { useBringClub } from '../../api/club.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';

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
        <Button isDisabled={bring.isPending}>Choose a club.zip</Button>
      </FileTrigger>
      <Quiet style={{ marginTop: 8 }}>
        {bring.isPending
          ? 'Bringing the club in…'
          : bring.data
            ? `${bring.data.name} is here.`
            : 'All of it comes in, or nothing. A club that is here already is never overwritten.'}
      </Quiet>
      {bring.error && <Notice>{bring.error.message}</Notice>}
    </>
  );
}
