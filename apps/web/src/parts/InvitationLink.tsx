import type { InvitationReply } from '@orthokin/contract';
import { QRCodeSVG } from 'qrcode.react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { say } from '../words/account.js';
import { dateWords } from '../words/format.js';
import { Button } from './Button.js';
import { isLoopback } from './is-loopback.js';
import { Notice } from './Notice.js';
import { Heading, Quiet } from './Text.js';
import { colour } from './tokens.js';

const Ready = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 8px 22px;
  align-items: start;
  max-width: 820px;
  padding: 16px;
  border: 1.5px solid ${colour('rule')};
  background: ${colour('raised')};
  code {
    display: block;
    margin: 8px 0;
    font-size: 15px;
    overflow-wrap: anywhere;
    user-select: all;
  }
`;

/** A new invitation's link, which is shown only once. */
export function InvitationLink({
  made,
  onDone,
}: {
  made: InvitationReply;
  onDone: () => void;
}): ReactElement {
  const { name, role, accountId, until, token = '' } = made;
  const [isCopied, setIsCopied] = useState(false);
  // On other devices a loopback name would mean themselves, so the link uses the server's own address.
  const origin = isLoopback(window.location.hostname) ? made.address : window.location.origin;
  const address = `${origin ?? ''}/invited#${token}`;
  const isForDevices = role === 'athlete' && accountId === null;
  return (
    <Ready role="status">
      <QRCodeSVG value={address} size={170} title={say('scan')} />
      <div>
        <Heading as="p">{say('linkFor', { name, until: dateWords(until.slice(0, 10)) })}</Heading>
        <Quiet>{say(isForDevices ? 'linkForDevices' : 'linkOnce')}</Quiet>
        {isLoopback(new URL(address).hostname) && <Notice>{say('onlyThisMachine')}</Notice>}
        <code>{address}</code>
        {/* Without a secure page there is none: what is shown can be chosen and copied. */}
        {'clipboard' in navigator && (
          <Button
            onPress={() =>
              void navigator.clipboard.writeText(address).then(() => setIsCopied(true))
            }
          >
            {say(isCopied ? 'copied' : 'copyLink')}
          </Button>
        )}{' '}
        <Button onPress={onDone}>{say('done')}</Button>
      </div>
    </Ready>
  );
}
