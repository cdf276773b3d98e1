import { LONGEST_DEVICE_NAME } from '@orthokin/core/people';
import { useState, type ReactElement } from 'react';
import {
  canUsePasskeys,
  isGivenUp,
  useAddPasskey,
  usePasskeys,
  useRemovePasskey,
} from '../../api/passkeys.js';
import { Button } from '../../parts/Button.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Rows } from '../../parts/Rows.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { say } from '../../words/account.js';
import { dayWords } from '../../words/format.js';

/** The account's passkeys, for signing in without a password. */
export function Passkeys(): ReactElement {
  const { data = [], error, refetch } = usePasskeys();
  const add = useAddPasskey();
  const remove = useRemovePasskey();
  const [name, setName] = useState(say('passkeyUsual'));
  const failed = add.error && !isGivenUp(add.error) ? add.error : remove.error;
  return (
    <section aria-label={say('passkeys')} style={{ marginTop: 34 }}>
      <Heading>{say('passkeys')}</Heading>
      <Quiet style={{ maxWidth: '66ch' }}>{say('passkeysMean')}</Quiet>
      {error && <Failed error={error} again={() => void refetch()} />}
      {data.length > 0 && (
        <Rows aria-label={say('passkeys')}>
          {data.map((passkey) => (
            <li key={passkey.id}>
              <div>
                <strong>{passkey.name}</strong>
                <small>{say('since', { since: dayWords(passkey.madeAt) })}</small>
              </div>
              <Button
                aria-label={say('removePasskey', { name: passkey.name })}
                isDisabled={remove.isPending}
                onPress={() => remove.mutate(passkey.id)}
              >
                {say('remove')}
              </Button>
            </li>
          ))}
        </Rows>
      )}
      {failed && <Notice>{say('passkeyFailed', { why: failed.message })}</Notice>}
      {canUsePasskeys() ? (
        <div
          style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'end', gap: 12, marginTop: 14 }}
        >
          <div style={{ flex: '0 1 260px' }}>
            <OpenField
              label={say('passkeyName')}
              value={name}
              maxLength={LONGEST_DEVICE_NAME}
              onChange={setName}
            />
          </div>
          <Button
            isDisabled={name.trim() === '' || add.isPending}
            onPress={() => add.mutate(name.trim())}
          >
            {say('addPasskey')}
          </Button>
        </div>
      ) : (
        <Quiet style={{ marginTop: 10, maxWidth: '66ch' }}>{say('passkeysNotHere')}</Quiet>
      )}
    </section>
  );
}
