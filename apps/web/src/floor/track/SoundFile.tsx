import type { DrillSetupReply } from '@orthokin/contract';
import { problemSentence } from '@orthokin/core/result';
import { AudioLines } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { v7 } from 'uuid';
import { useClub } from '../../api/club.js';
import { Session } from '../../drill/session.js';
import { epochNow } from '../../drill/set-clock.js';
import { trackOf } from '@orthokin/core/run';
import { useOutbox } from '../../device/outbox-context.js';
import { Button } from '../../parts/Button.js';
import { download, fileName } from '../../parts/download.js';
import { conditionsFor, NOTHING_AT_STAKE, planDrill, type DrillChoices } from '../plan-drill.js';
import { renderTrack } from './render-track.js';
import { say } from '../../words/floor.js';

/**
 * Saves a set's cues as a sound file. The schedule is stored as a set that nobody has timed yet, with its clock's
 * zero at the start tone, so that times from a film can be added later.
 */
export function SoundFile({
  setup,
  choices,
  seed,
}: {
  setup: DrillSetupReply;
  choices: DrillChoices;
  seed: number;
}): ReactElement {
  const club = useClub();
  const outbox = useOutbox();
  const [said, setSaid] = useState<string | null>(null);
  const make = async () => {
    // A file cannot react to lost reps, so there are no stakes.
    const conditions = { ...choices.conditions, ...NOTHING_AT_STAKE };
    const asked = { ...choices, conditions, source: 'none' } as const;
    const made = planDrill(club, setup, asked, seed, epochNow());
    if (!made.ok) throw new Error(problemSentence(made.problem));
    const plan = made.value;
    const file = new Blob([await renderTrack(plan)], { type: 'audio/wav' });
    download(
      fileName(
        say('cuesAthletePattern', { athlete: plan.athlete.name, pattern: plan.pattern.name }),
        'wav',
      ),
      file,
    );
    const session = await Session.start(plan, outbox);
    for (const cue of plan.cues) {
      const atMs = trackOf(plan).cuesMs.get(cue.ordinal);
      if (atMs === undefined) {
        await session.commit({ type: 'held', repId: v7(), atMs: 0 });
        continue;
      }
      const event = { name: 'cue', atMs: Math.round(atMs), sdMs: 0, source: 'sensor' } as const;
      await session.commit({ type: 'cued', repId: v7(), cue: event });
      await session.commit({ type: 'ran out', atMs: Math.round(atMs) });
    }
    await session.commit({ type: 'ended', at: new Date(epochNow()).toISOString() });
    setSaid(say('savedItsCuesKeptSetMarked'));
  };
  const isCalled = conditionsFor(setup, choices).order === 'called';
  return (
    <>
      <Button
        isDisabled={isCalled}
        onPress={() =>
          void make().catch((error: unknown) =>
            setSaid(error instanceof Error ? error.message : String(error)),
          )
        }
      >
        <AudioLines size={18} aria-hidden /> {say('soundFile')}
      </Button>
      {said && <span role="status">{said}</span>}
    </>
  );
}
