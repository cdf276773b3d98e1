import { LONGEST_DEVICE_NAME } from '@orthokin/core/people';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { useBeFloorDevice } from '../../api/me.js';
import { Button } from '../../parts/Button.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { say } from '../../words/account.js';

/** Turns this device into the club's shared one. */
export function BeFloorDevice(): ReactElement {
  const be = useBeFloorDevice();
  const navigate = useNavigate();
  const [name, setName] = useState(say('floorUsual'));
  return (
    <section style={{ marginTop: 34, maxWidth: 620 }}>
      <Heading>{say('floorHeadline')}</Heading>
      <Quiet>{say('floorMeans')}</Quiet>
      <form
        style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'end', gap: 12, marginTop: 10 }}
        onSubmit={(event) => {
          event.preventDefault();
          void be.mutateAsync(name.trim()).then(
            () => navigate('/'),
            () => undefined,
          );
        }}
      >
        <OpenField
          label={say('floorName')}
          value={name}
          maxLength={LONGEST_DEVICE_NAME}
          onChange={setName}
        />
        <Button type="submit" isDisabled={name.trim() === '' || be.isPending}>
          {say('beFloor')}
        </Button>
      </form>
      {be.error && <Notice>{be.error.message}</Notice>}
    </section>
  );
}
