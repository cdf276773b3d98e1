import type { LiveRole } from '@orthokin/contract';
import { MonitorSmartphone } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { useSyncExternalStore, type ReactElement } from 'react';
import { Dialog, DialogTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import type { Channel } from '../../live/channel.js';
import { Button } from '../../parts/Button.js';
import { count } from '../../words/format.js';
import { Sheet } from '../../parts/Sheet.js';
import { Quiet } from '../../parts/Text.js';
import { MONO } from '../../parts/tokens.js';
import type { Room } from './useRoom.js';

const ROLE_WORDS: Readonly<Record<LiveRole, string>> = {
  drill: 'another drill',
  cues: 'shows the cues',
  caller: 'calls the targets',
  panel: "coach's panel",
};

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

const Code = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 22px;
  margin: 16px 0;
  svg {
    padding: 12px;
    border-radius: 4px;
    background: #fff;
  }
  strong {
    display: block;
    font: 750 46px/1.2 ${MONO};
    letter-spacing: 0.08em;
  }
`;

/** The other screens that are joined now. */
function Joined({ channel }: { channel: Channel }): ReactElement {
  const { connected, others } = useSyncExternalStore(channel.subscribe, channel.snapshot);
  if (!connected)
    return <Quiet role="status">No way to the server: screens join when it is back.</Quiet>;
  return (
    <Quiet role="status">
      {others.size === 0
        ? 'No screen has joined yet.'
        : `${count(others.size, 'screen')} joined: ${[...others.values()].map((role) => ROLE_WORDS[role]).join(', ')}.`}
    </Quiet>
  );
}

/** How another screen joins this device's drills: a code to scan, or to type. */
export function SecondScreen({ room }: { room: Room }): ReactElement {
  const address = `${window.location.origin}/join/${room.code}`;
  return (
    <DialogTrigger onOpenChange={(isOpen) => isOpen && room.open()}>
      <Button>
        <MonitorSmartphone size={18} aria-hidden /> Second screen
      </Button>
      <Sheet isDismissable>
        <Dialog>
          {({ close }) => (
            <>
              <Heading slot="title">A second screen</Heading>
              <Quiet>
                A phone or a tablet shows the cues, calls the targets, or is the coach's panel. Scan
                this there, or open {window.location.host}/join and type the code. The code stays
                the same; a screen may come and go while a set runs.
              </Quiet>
              <Code>
                <QRCodeSVG value={address} size={150} title={`Join at ${address}`} />
                <div>
                  <strong>{room.code}</strong>
                  {room.channel && <Joined channel={room.channel} />}
                </div>
              </Code>
              {LOOPBACK.includes(window.location.hostname) && (
                <Quiet style={{ marginBottom: 14 }}>
                  This address is for screens on this machine only. Start Orthokin with “./start
                  --lan” to let other devices in.
                </Quiet>
              )}
              <div style={{ display: 'flex', gap: 12 }}>
                <Button weight="main" onPress={close}>
                  Close
                </Button>
                <Button onPress={room.renew}>New code</Button>
              </div>
            </>
          )}
        </Dialog>
      </Sheet>
    </DialogTrigger>
  );
}
