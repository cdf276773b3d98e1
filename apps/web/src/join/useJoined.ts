import type { LiveRole } from '@orthokin/contract';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { Channel } from '../live/channel.js';
import type { Presentation, RunNews, SetNews } from '@orthokin/contract/live-messages';
import { PeerClock } from '../live/peer-clock.js';
import { learnWords } from '../sound/spoken.js';
import { wordsOfSet } from '../drill/cue-words.js';
import type { CuePlan } from '../drill/cue-plan.js';
import { Cancels } from '../screens/cancels.js';
import { NOTHING_SHOWN, onClock, present, type Shown } from '../screens/present.js';

/** What a joined screen knows about the drill. */
export interface Joined {
  readonly channel: Channel | null;
  readonly clock: PeerClock | null;
  /** `null` between sets. */
  readonly set: SetNews | null;
  readonly run: RunNews | null;
  readonly shown: Shown;
}

export const cuePlanOf = ({ targets, cueKinds }: SetNews): CuePlan => ({
  pattern: { targets },
  conditions: { cueKinds },
});

/** Joins a room and follows its drill, presenting cues together with the drill's screen. */
export function useJoined(
  room: string,
  role: LiveRole,
  /** A panel over several drills must not sound their cues. */
  { isSilent = false }: { readonly isSilent?: boolean } = {},
): Joined {
  const [way, setWay] = useState<{ channel: Channel; clock: PeerClock } | null>(null);
  const [set, setSet] = useState<SetNews | null>(null);
  const [run, setRun] = useState<RunNews | null>(null);
  const [shown, setShown] = useState<Shown>(NOTHING_SHOWN);
  useEffect(() => {
    const channel = new Channel(room, role);
    const clock = new PeerClock(channel);
    const cancels = new Cancels();
    let plan: CuePlan | null = null;
    let waiting: Presentation | null = null;
    const begin = (coming: Presentation) => {
      cancels.cancel();
      if (isSilent) return;
      waiting = plan ? null : coming;
      // Until the clocks are synchronised a cue is shown when it arrives: late is better than never.
      const onPage = onClock(coming, (ms) => clock.toPage(ms) ?? performance.now());
      if (plan)
        present(
          plan,
          onPage,
          (change) => flushSync(() => setShown((now) => ({ ...now, ...change }))),
          cancels,
        );
    };
    const clear = () => {
      cancels.cancel();
      setShown(NOTHING_SHOWN);
    };
    const stops = [
      channel.on('set', ({ body: news }) => {
        plan = cuePlanOf(news);
        setSet(news);
        if (!isSilent) void learnWords(wordsOfSet(plan));
        // A set's first cue may arrive before the set itself.
        if (waiting) begin(waiting);
      }),
      channel.on('run', ({ body }) => setRun(body)),
      channel.on('coming', ({ body }) => begin(body)),
      channel.on('clear', clear),
      channel.on('over', () => {
        clear();
        setSet(null);
        setRun(null);
      }),
    ];
    // oxlint-disable-next-line react/set-state-in-effect -- a connection is made, not derived
    setWay({ channel, clock });
    return () => {
      for (const stop of stops) stop();
      cancels.cancel();
      clock.stop();
      channel.leave();
      setWay(null);
    };
  }, [room, role, isSilent]);
  return { channel: way?.channel ?? null, clock: way?.clock ?? null, set, run, shown };
}
