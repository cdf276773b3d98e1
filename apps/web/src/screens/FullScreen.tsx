import { Maximize, Minimize } from 'lucide-react';
import { useEffect, useSyncExternalStore, type ReactElement } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../parts/tokens.js';
import { say } from '../words/screens.js';

const Toggle = styled(Button)`
  display: grid;
  place-items: center;
  flex: none;
  width: 56px;
  height: 56px;
  margin: -10px -10px -10px 0;
  border: 0;
  border-radius: 4px;
  background: none;
  color: ${colour('quiet')};
  cursor: pointer;
`;

const subscribe = (listener: () => void) => {
  document.addEventListener('fullscreenchange', listener);
  return () => document.removeEventListener('fullscreenchange', listener);
};

const isFull = () => document.fullscreenElement !== null;

/** Does nothing on devices that do not allow it. */
async function toggleFullScreen(): Promise<void> {
  await (isFull() ? document.exitFullscreen() : document.documentElement.requestFullscreen()).catch(
    () => undefined,
  );
}

export const leaveFullScreen = async (): Promise<void> => {
  if (isFull()) await toggleFullScreen();
};

const KEY = 'KeyZ';

/** Toggles full screen, by button or key. */
export function FullScreen(): ReactElement | null {
  const full = useSyncExternalStore(subscribe, isFull);
  useEffect(() => {
    const press = ({ code, repeat, ctrlKey, metaKey, altKey }: KeyboardEvent) => {
      if (code === KEY && !repeat && !ctrlKey && !metaKey && !altKey) void toggleFullScreen();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  if (!document.fullscreenEnabled) return null;
  return (
    <Toggle
      aria-label={full ? say('leaveFullScreenZ') : say('fullScreenZ')}
      onPress={() => void toggleFullScreen()}
    >
      {full ? <Minimize size={24} /> : <Maximize size={24} />}
    </Toggle>
  );
}
