import type { PlanBody, PlanReply, ProgrammeBody, ProgrammeReply } from '@orthokin/contract';
import { blocksFrom, inWeeksFrom, lighter, trainingDays } from '@orthokin/core/plan';
import { useState } from 'react';
import { v7 } from 'uuid';
import { useSavePlan } from '../../api/plans.js';
import { useSaveProgramme } from '../../api/programmes.js';
import { capital } from '../../words/format.js';
import { themeWords } from '../../words/weeks.js';
import { plannedOf } from '../planned.js';
import type { Filling } from './FillWeeks.js';

/** A new session for a programme. */
function sessionOn(
  programme: ProgrammeReply,
  { day, week }: ReturnType<typeof trainingDays>[number],
  { startsAt, minutes, template }: Filling,
): PlanBody {
  const session = {
    ...{ name: capital(themeWords(week.theme)), day, startsAt, minutes },
    ...{ athleteIds: programme.athleteIds, blocks: blocksFrom(template, v7), revision: 1 },
    programmeId: programme.id,
  };
  return week.kind === 'lighter' ? lighter(session) : session;
}

/** Actions on a programme's weeks and sessions. */
export function useWeeks(programme: ProgrammeReply, sessions: readonly PlanReply[]) {
  const save = useSaveProgramme();
  const savePlan = useSavePlan();
  const [moved, setMoved] = useState<PlanReply | null>(null);
  const [filled, setFilled] = useState<number | null>(null);
  const change = (part: Partial<Omit<ProgrammeBody, 'revision'>>) => {
    const { id: programmeId, revision, ...now } = programme;
    save.mutate({ programmeId, body: { ...now, ...part, revision: revision + 1 } });
  };
  const changeSession = (session: PlanReply, part: Partial<PlanBody>) =>
    savePlan.mutateAsync({
      planId: session.id,
      body: { ...plannedOf(session), ...part, revision: session.revision + 1 },
    });
  const addAll = async (bodies: readonly PlanBody[]) => {
    for (const body of bodies) await savePlan.mutateAsync({ planId: v7(), body });
  };
  const forget = () => {
    save.reset();
    savePlan.reset();
  };
  return {
    error: save.error ?? savePlan.error,
    isBusy: savePlan.isPending,
    ...{ change, changeSession, moved, filled, forget },
    move: async (planId: string, day: string) => {
      const session = sessions.find(({ id }) => id === planId);
      if (!session || session.day === day) return;
      setMoved(session);
      await changeSession(session, { day }).catch(() => setMoved(null));
    },
    moveBack: async () => {
      const now = sessions.find(({ id }) => id === moved?.id);
      setMoved(null);
      if (now && moved) await changeSession(now, { day: moved.day });
    },
    fill: async (filling: Filling) => {
      const taken = new Set(sessions.map(({ day }) => day));
      const days = trainingDays(programme, filling.weekdays).filter(({ day }) => !taken.has(day));
      await addAll(days.map((one) => sessionOn(programme, one, filling)));
      setFilled(days.length);
    },
    /** Moves the whole programme, with its sessions, to another start. */
    beginOn: async (startsOn: string) => {
      change({ startsOn });
      for (const session of sessions) {
        const day = inWeeksFrom(programme, startsOn, session.day);
        if (day !== null) await changeSession(session, { day });
      }
    },
    /** Adds the programme's current athletes to some sessions. */
    takeInto: async (some: readonly PlanReply[]) => {
      for (const session of some)
        await changeSession(session, { athleteIds: programme.athleteIds });
    },
    /**
     * Copies weeks and sessions for other athletes.
     * @returns the new programme's id
     */
    copy: async (name: string, athleteIds: readonly string[], startsOn: string) => {
      const programmeId = v7();
      const { weeks } = programme;
      await save.mutateAsync({
        programmeId,
        body: { name, startsOn, athleteIds, weeks, revision: 1 },
      });
      await addAll(
        sessions.flatMap((session): PlanBody[] => {
          const day = inWeeksFrom(programme, startsOn, session.day);
          return day === null
            ? []
            : [{ ...plannedOf(session), day, athleteIds, programmeId, revision: 1 }];
        }),
      );
      return programmeId;
    },
  };
}
