import { problemSentence } from '@orthokin/core/result';
import { useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { useClub } from '../../api/club.js';
import { useFetchSetup } from '../../api/squad.js';
import { beginRota, turnOf, type Rota } from '@orthokin/core/run';
import type { DrillPlan } from '../../drill/plan.js';
import { epochNow } from '../../drill/set-clock.js';
import { holdDrill } from '../../device/drill-lock.js';
import { learnWords } from '../../sound/spoken.js';
import { wordsOfSet } from '../../drill/cue-words.js';
import { keepRota, passedOn, setupOf, type KeptRota } from './kept-rota.js';
import {
  conditionsFor,
  onRungsFloor,
  planDrill,
  restRatioOf,
  type FloorSetup,
  type Settled,
} from '../plan-drill.js';

export interface RunningRota {
  readonly rota: Rota | null;
  /** Whether the current turn is the last. */
  readonly isLast: boolean;
  readonly nameOf: (athleteId: string) => string;
  /** What an athlete of the rota runs; `null` for anybody else. */
  readonly setupOf: (athleteId: string) => FloorSetup | null;
  /** Loads everything the rota needs, so that it can go on without the network. */
  readonly settle: (settled: Settled, own: FloorSetup) => Promise<void>;
  /** Continues a rota that was cut off. */
  readonly takeUp: (kept: KeptRota) => void;
  /** Plans the current turn's set, starting now. */
  readonly plan: () => Promise<DrillPlan>;
  /** The turn is over; false when it was the last. */
  readonly passOn: (workMs: number | null) => boolean;
  /** The sets that were run, in their order. */
  readonly setsDone: () => readonly string[];
  readonly drop: () => void;
}

/** The sets settled together: whose turn it is, and what each of them needs. */
export function useRunningRota(): RunningRota {
  const club = useClub();
  const fetchSetup = useFetchSetup();
  const [shown, setShown] = useState<KeptRota | null>(null);
  // Where a set starts from within the same press, state would still be the old one.
  const now = useRef<KeptRota | null>(null);
  const be = (kept: KeptRota | null) => {
    now.current = kept;
    setShown(kept);
    keepRota(kept);
  };
  const id = shown?.id;
  useEffect(() => (id === undefined ? undefined : holdDrill(id)), [id]);
  return {
    rota: shown?.rota ?? null,
    isLast: shown === null || shown.rota.place >= shown.rota.turns.length - 1,
    nameOf: (athleteId) => (shown && setupOf(shown, athleteId)?.athlete.name) ?? '',
    setupOf: (athleteId) => (shown && setupOf(shown, athleteId)) ?? null,
    settle: async (settled, own) => {
      const others = settled.athleteIds.filter((other) => other !== own.athlete.id);
      const fetched = await Promise.all(
        others.map((other) => fetchSetup(other, settled.sharedPatternId)),
      );
      const { sets } = settled.choices;
      const rest = restRatioOf(settled.choices, own.ladder);
      const rota = beginRota(settled.athleteIds, sets, rest);
      be({
        id: v7(),
        clubId: club.clubId,
        rota,
        settled,
        setups: [own, ...fetched.map(onRungsFloor)],
        on: null,
        done: null,
      });
    },
    takeUp: be,
    plan: async () => {
      const current = now.current;
      const turn = current && turnOf(current.rota);
      const setup = turn && setupOf(current, turn.athleteId);
      if (!setup) throw new Error('Nobody is next.');
      const { choices, seed, hand } = current.settled;
      await learnWords(
        wordsOfSet({ pattern: setup.pattern, conditions: conditionsFor(setup, choices) }),
      );
      const own = (seed + current.rota.place) >>> 0;
      const plan = planDrill(club, setup, choices, own, epochNow(), hand);
      if (!plan.ok) throw new Error(problemSentence(plan.problem));
      be({ ...current, on: plan.value.id });
      return plan.value;
    },
    passOn: (workMs) => {
      if (!now.current) return false;
      const next = passedOn(now.current, workMs);
      be(next);
      return turnOf(next.rota) !== undefined;
    },
    setsDone: () => now.current?.sets ?? [],
    drop: () => be(null),
  };
}
