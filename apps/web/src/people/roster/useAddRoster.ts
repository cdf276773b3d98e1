import type { AddedAthlete, GroupReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import type { RosterPerson } from '@orthokin/core/formats';
import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { useRef } from 'react';
import { v7 } from 'uuid';
import { call } from '../../api/client.js';
import { useClub } from '../../api/club.js';
import { afterPeople } from '../../api/keys.js';

/** The most athletes in one request. */
const AT_ONCE = 500;

const bodyOf = (
  { row: _row, double: _double, squad: _squad, ...person }: RosterPerson,
  id: string,
  patternId: string,
): AddedAthlete => ({ ...person, id, colourVision: 'full', patternId });

/** Assigns new athletes to squads; missing squads are created. */
function squadsOf(
  people: readonly RosterPerson[],
  idOf: (person: RosterPerson) => string,
  there: readonly GroupReply[],
): GroupReply[] {
  const squads = new Map<string, GroupReply>();
  for (const person of people) {
    if (person.squad === null) continue;
    const name = person.squad;
    const squad = squads.get(name) ??
      there.find((one) => one.name === name) ?? { id: v7(), name, athleteIds: [] };
    const athleteIds = [...new Set([...squad.athleteIds, idOf(person)])];
    squads.set(name, { ...squad, athleteIds });
  }
  return [...squads.values()];
}

/**
 * Adds a table's athletes, and puts them into its squads.
 * @returns how many were added
 */
export function useAddRoster(): UseMutationResult<
  number,
  Error,
  { readonly people: readonly RosterPerson[]; readonly patternId: string }
> {
  const { clubId } = useClub();
  const client = useQueryClient();
  // Kept, so that a second attempt after a lost network adds nobody twice.
  const ids = useRef(new Map<number, string>());
  const idOf = ({ row }: RosterPerson): string => {
    const id = ids.current.get(row) ?? v7();
    ids.current.set(row, id);
    return id;
  };
  return useMutation({
    mutationFn: async ({ people, patternId }) => {
      for (let i = 0; i < people.length; i += AT_ONCE) {
        const athletes = people
          .slice(i, i + AT_ONCE)
          .map((person) => bodyOf(person, idOf(person), patternId));
        await call(ROUTES.addAthletes, { clubId }, { body: { athletes } });
      }
      const there = await call(ROUTES.groups, { clubId });
      for (const { id, ...body } of squadsOf(people, idOf, there))
        await call(ROUTES.saveGroup, { clubId, groupId: id }, { body });
      return people.length;
    },
    onSuccess: () => afterPeople(client, clubId),
  });
}
