import { CloudOff } from 'lucide-react';
import { useSyncExternalStore, type ReactElement } from 'react';
import { useLocation } from 'react-router';
import styled from 'styled-components';
import { onShownSince, shownSinceNow } from '../../device/without-network.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { PageEdge, Quiet } from '../../parts/Text.js';
import { agoWords, say } from '../../words/offline.js';
import { appVersion, onAppVersion, takeNewer } from './app-version.js';
import { useKeepingAhead } from './useKeepingAhead.js';

/** Not styled as an error: what is shown is only not up to date. */
const Calm = styled(Quiet)`
  display: flex;
  align-items: center;
  gap: 10px;
  svg {
    flex: none;
  }
`;

/** Pages with something running that must not be interrupted. */
const RUNS = /^\/(floor\/.|plan\/.+\/run|film\/.)/;

/**
 * Says on every page that the server is unreachable, or that a new version is ready; also loads ahead for offline
 * use.
 */
export function WithoutNetwork(): ReactElement {
  useKeepingAhead();
  const since = useSyncExternalStore(onShownSince, shownSinceNow);
  const { isNewerThere } = useSyncExternalStore(onAppVersion, appVersion);
  const { pathname } = useLocation();
  const isFree = !RUNS.test(pathname);
  return (
    <>
      {since !== null && isFree && (
        <PageEdge as="div" style={{ paddingTop: 12, paddingBottom: 0 }}>
          <Calm role="status">
            <CloudOff size={18} aria-hidden /> {say('noAnswer', { when: agoWords(since) })}
          </Calm>
        </PageEdge>
      )}
      {isNewerThere && isFree && (
        <PageEdge as="div" style={{ paddingBottom: 0 }}>
          <Notice action={<Button onPress={takeNewer}>{say('takeNewer')}</Button>}>
            {say('newer')}
          </Notice>
        </PageEdge>
      )}
    </>
  );
}
