import { BatteryLow, Check, CircleAlert } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import type { Device } from '../../beacons/fleet.js';
import { TextField } from '../../parts/form/TextField.js';
import { Quiet } from '../../parts/Text.js';
import { colour, MONO } from '../../parts/tokens.js';
import type { Beacons } from './useBeacons.js';
import { GatewayBarrier, NamedGateways } from './GatewayBarrier.js';
import { say } from '../../words/floor.js';
import { commaList } from '../../words/format.js';

const Box = styled.div`
  display: grid;
  gap: 12px;
  padding: 14px 16px;
  border: 1.5px solid ${colour('rule')};
  border-radius: 4px;
`;

const Devices = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    font: 500 15px ${MONO};
    color: ${colour('quiet')};
  }
  li.lost {
    color: ${colour('bad')};
  }
`;

const LOW_BATTERY = 0.2;
/** A clock matched worse than this widens the error of all its times. */
const BAD_MATCH_MS = 15;

function healthOf({ isThere, battery, match }: Device): string {
  if (!isThere) return 'gone';
  if (!match) return say('noTimeYet');
  return say('ceilMsRound', { ceil: Math.ceil(match.sdMs), round: Math.round(100 * battery) });
}

/** Each device: present or gone, its battery, and how well its clock is matched. */
export function BeaconHealth({
  beacons: { state },
  places,
}: {
  beacons: Beacons;
  /** Letters of the targets in play; home is always shown. */
  places: readonly string[];
}): ReactElement {
  const devices = [...state.fleet.values()].filter(
    ({ place }) => place === 'home' || places.includes(place),
  );
  const bare = ['home', ...places].filter(
    (place) => !devices.some((device) => device.place === place && device.isThere),
  );
  return (
    <>
      <Devices aria-label={say('beacons')}>
        {devices.map((device) => {
          const bad = !device.isThere || !device.match || device.match.sdMs > BAD_MATCH_MS;
          const Icon = device.battery < LOW_BATTERY ? BatteryLow : bad ? CircleAlert : Check;
          return (
            <li key={device.id} className={device.isThere ? undefined : 'lost'}>
              <Icon size={16} aria-hidden /> {device.place}: {healthOf(device)}
            </li>
          );
        })}
      </Devices>
      {state.connected && bare.length > 0 && (
        <Quiet>{say('nothingBareWhatHappensThereMissing', { bare: commaList(bare) })}</Quiet>
      )}
    </>
  );
}

/** Where the gateway is, and the state of its devices. */
export function BeaconsPart({
  beacons,
  places,
}: {
  beacons: Beacons;
  places: readonly string[];
}): ReactElement {
  const { address, setAddress, state } = beacons;
  return (
    <Box>
      <TextField
        label={say('addressGateway')}
        value={address}
        onChange={setAddress}
        maxLength={200}
        required
      />
      <GatewayBarrier address={address}>
        <Quiet role="status">
          {state.problem ??
            (state.connected
              ? say('linkedSizeDevices', { size: state.fleet.size })
              : say('noGatewayAnswersThereTryingAgain'))}
        </Quiet>
        <BeaconHealth beacons={beacons} places={places} />
      </GatewayBarrier>
      <NamedGateways />
    </Box>
  );
}
