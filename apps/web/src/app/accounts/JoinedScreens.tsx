import type { JoinedScreenReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useEndScreen, useJoinedScreens } from '../../api/accounts.js';
import { Button } from '../../parts/Button.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Rows } from '../../parts/Rows.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { say } from '../../words/account.js';
import { timeWords } from '../../words/format.js';
import { screenWords } from '../../words/screens.js';

const holds = ({ role }: JoinedScreenReply): boolean => role === 'drill' || role === 'session';

/** Where a screen is, by its room and whoever runs that. */
function whereOf({ room }: JoinedScreenReply, all: readonly JoinedScreenReply[]): string {
  const holder = all.find((each) => each.room === room && holds(each));
  return holder
    ? say('joinedTo', { room, holder: holder.name || holder.device })
    : say('joinedToNobody', { room });
}

/** Screens that joined the club's drills and sessions by code. */
export function JoinedScreens(): ReactElement {
  const screens = useJoinedScreens();
  const end = useEndScreen();
  const all = screens.data ?? [];
  const joined = all.filter((screen) => !holds(screen));
  return (
    <section style={{ marginTop: 34 }}>
      <Heading>{say('joinedScreens')}</Heading>
      <Quiet style={{ maxWidth: '66ch' }}>{say('joinedScreensMean')}</Quiet>
      {screens.error && <Failed error={screens.error} again={() => void screens.refetch()} />}
      {end.error && <Notice>{end.error.message}</Notice>}
      {screens.data && joined.length === 0 && <p style={{ marginTop: 10 }}>{say('noneJoined')}</p>}
      <Rows aria-label={say('joinedScreens')}>
        {joined.map((screen) => {
          const { room, role, device, since } = screen;
          return (
            <li key={`${room} ${screen.screen}`}>
              <div>
                <strong>{screenWords(role)}</strong>
                <small>
                  {[device, whereOf(screen, all), say('since', { since: timeWords(since) })].join(
                    ' · ',
                  )}
                </small>
              </div>
              <Button
                aria-label={say('endScreen', { device, role: screenWords(role), room })}
                isDisabled={end.isPending}
                onPress={() => end.mutate({ room, screen: screen.screen })}
              >
                {say('end')}
              </Button>
            </li>
          );
        })}
      </Rows>
    </section>
  );
}
