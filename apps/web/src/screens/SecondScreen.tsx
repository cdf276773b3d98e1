import { MonitorSmartphone } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { useSyncExternalStore, type ReactElement } from 'react';
import { Dialog, DialogTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import type { Channel } from '../live/channel.js';
import { Button } from '../parts/Button.js';
import { isLoopback } from '../parts/is-loopback.js';
import { Sheet } from '../parts/Sheet.js';
import { Quiet } from '../parts/Text.js';
import { colour, MONO } from '../parts/tokens.js';
import type { Room } from '../live/useRoom.js';
import { say } from '../words/floor.js';
import { commaList } from '../words/format.js';
import { screenWords } from '../words/screens.js';

const Code = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 22px;
  margin: 16px 0;
  svg {
    padding: 12px;
    border-radius: 4px;
    background: ${colour('sheet')};
  }
  strong {
    display: block;
    font: 750 46px/1.2 ${MONO};
    letter-spacing: 0.08em;
  }
`;

/** The other screens that are joined now. */
function Joined({ channel }: { channel: Channel }): ReactElement {
  const { connected, others, direct } = useSyncExternalStore(channel.subscribe, channel.snapshot);
  if (!connected) return <Quiet role="status">{say('noWayServerScreensJoinWhen')}</Quiet>;
  return (
    <>
      <Quiet role="status">
        {others.size === 0
          ? say('noScreenHasJoinedYet')
          : say('sizeJoinedValue', {
              size: others.size,
              value: commaList([...others.values()].map(screenWords)),
            })}
      </Quiet>
      {others.size > 0 && (
        <Quiet>
          {say('staysTogether', { direct: direct.size, others: others.size - direct.size })}
        </Quiet>
      )}
      {[...others].map(([screen, role], i) => (
        <Button
          key={screen}
          aria-label={say('endScreen', { n: i + 1, role: screenWords(role) })}
          onPress={() => channel.end(screen)}
        >
          {say('endScreenShort', { role: screenWords(role) })}
        </Button>
      ))}
    </>
  );
}

/** How another screen joins: a code to scan or to type. */
export function SecondScreen({
  room,
  means,
}: {
  room: Room;
  /** What the other screen is for. */
  means: string;
}): ReactElement {
  const address = `${window.location.origin}/join/${room.code}`;
  return (
    <DialogTrigger onOpenChange={(isOpen) => isOpen && room.open()}>
      <Button>
        <MonitorSmartphone size={18} aria-hidden /> {say('secondScreen')}
      </Button>
      <Sheet isDismissable>
        <Dialog>
          {({ close }) => (
            <>
              <Heading slot="title">{say('secondScreen2')}</Heading>
              <Quiet>
                {means} {say('howToJoin', { host: window.location.host })}
              </Quiet>
              <Code>
                <QRCodeSVG value={address} size={150} title={say('joinAddress', { address })} />
                <div>
                  <strong>{room.code}</strong>
                  {room.channel && <Joined channel={room.channel} />}
                </div>
              </Code>
              {isLoopback() && (
                <Quiet style={{ marginBottom: 14 }}>
                  {say('thisAddressScreensThisMachineOnly')}
                </Quiet>
              )}
              <div style={{ display: 'flex', gap: 12 }}>
                <Button weight="main" onPress={close}>
                  {say('close')}
                </Button>
                <Button onPress={room.renew}>{say('newCode')}</Button>
              </div>
            </>
          )}
        </Dialog>
      </Sheet>
    </DialogTrigger>
  );
}
