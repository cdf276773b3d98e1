import type { UnreadableReply } from '@orthokin/contract';
import { Trash2 } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { useTakeOut, useUnreadable } from '../../api/club.js';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Heading } from '../../parts/Text.js';
import { dayWords } from '../../words/format.js';
import { say } from '../../words/review.js';

const nameOf = ({ kind, athlete, at, version, sets }: UnreadableReply): string =>
  kind === 'set'
    ? say('setOfDay', { athlete: athlete ?? '', day: dayWords(at) })
    : kind === 'care'
      ? say('careOfDay', { athlete: athlete ?? '', day: dayWords(at) })
      : say('versionOfDay', { version: version ?? 0, day: dayWords(at), sets });

/** Stored rows that cannot be read, with what can be done; nothing if there are none. */
export function Unreadable(): ReactElement | null {
  const { data = [] } = useUnreadable();
  const takeOut = useTakeOut();
  const [asked, setAsked] = useState<string | null>(null);
  if (data.length === 0) return null;
  return (
    <section aria-label={say('cannotBeRead')} style={{ marginTop: 30, maxWidth: 980 }}>
      <Heading>{say('cannotBeRead')}</Heading>
      <p>{say('leftOutEverywhereElse')}</p>
      <ul>
        {data.map((line) => {
          const key = `${line.id} ${String(line.version)}`;
          return (
            <li key={key} style={{ margin: '8px 0' }}>
              {nameOf(line)}{' '}
              {asked === key ? (
                <Button isDisabled={takeOut.isPending} onPress={() => takeOut.mutate(line)}>
                  <Trash2 size={18} aria-hidden /> {say('takeOutForGood')}
                </Button>
              ) : (
                <Button onPress={() => setAsked(key)}>{say('takeOut')}</Button>
              )}
            </li>
          );
        })}
      </ul>
      {takeOut.error && <Notice>{takeOut.error.message}</Notice>}
    </section>
  );
}
