import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Download, Trash2 } from 'lucide-react';
import { useState, useSyncExternalStore, type ReactElement } from 'react';
import { forgetReplies, keptSummary } from '../../device/kept-replies.js';
import { useSending } from '../../device/outbox-context.js';
import { Button } from '../../parts/Button.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { agoWords, roomWords, say } from '../../words/offline.js';
import { appVersion, installOffer, onAppVersion, takeNewer } from './app-version.js';
import { useReadiness, type Readiness } from './useKeepingAhead.js';

const KEPT = ['kept on this device'];

const HEADLINES = {
  reading: say('reading'),
  ready: say('ready'),
  'not whole': say('notWhole'),
  'not here': say('notHere'),
} as const satisfies Record<Readiness, string>;

/** The browser's storage for the app, used and allowed, bytes; 0 if unknown. */
async function room(): Promise<{ readonly quota: number; readonly usage: number }> {
  if (!('storage' in navigator)) return { quota: 0, usage: 0 };
  const { quota = 0, usage = 0 } = await navigator.storage.estimate();
  return { quota, usage };
}

/** What this device has stored for working offline, and what it has not sent yet. */
export function ThisDevice(): ReactElement {
  const readiness = useReadiness();
  const { isNewerThere } = useSyncExternalStore(onAppVersion, appVersion);
  const { waiting } = useSending();
  const client = useQueryClient();
  const [forgotten, setForgotten] = useState(false);
  const { data } = useQuery({
    queryKey: [...KEPT, readiness],
    queryFn: async () => ({ ...(await keptSummary()), ...(await room()) }),
    staleTime: 0,
  });
  const install = installOffer();
  const forget = async () => {
    await forgetReplies();
    setForgotten(true);
    await client.invalidateQueries({ queryKey: KEPT });
  };
  return (
    <Page name={say('device')}>
      <Headline>{HEADLINES[readiness]}</Headline>
      <Quiet style={{ marginTop: 8, maxWidth: '66ch' }}>
        {say(readiness === 'not here' ? 'notHereMeans' : 'whatMeans')}
      </Quiet>
      {isNewerThere && (
        <p style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 12 }}>
          {say('newer')} <Button onPress={takeNewer}>{say('takeNewer')}</Button>
        </p>
      )}
      {readiness !== 'not here' && (
        <section style={{ marginTop: 30, maxWidth: '66ch' }}>
          <Heading>{say('kept')}</Heading>
          {data && (
            <p role="status">
              {say('keptOf', {
                replies: data.replies,
                room: roomWords(data.bytes),
                newest: agoWords(data.newest ?? 0),
                oldest: agoWords(data.oldest ?? 0),
              })}{' '}
              {data.quota > 0 &&
                say('roomOf', { used: roomWords(data.usage), all: roomWords(data.quota) })}
            </p>
          )}
          <Quiet>{say('sealed')}</Quiet>
          <p>
            {forgotten ? (
              say('forgotten')
            ) : (
              <Button onPress={() => void forget()}>
                <Trash2 size={18} aria-hidden /> {say('forget')}
              </Button>
            )}
          </p>
        </section>
      )}
      <section style={{ marginTop: 30, maxWidth: '66ch' }}>
        <p>{say('waiting', { waiting })}</p>
        {install && (
          <Button onPress={install}>
            <Download size={18} aria-hidden /> {say('install')}
          </Button>
        )}
        {readiness !== 'not here' && <Quiet>{say('installMeans')}</Quiet>}
      </section>
    </Page>
  );
}
