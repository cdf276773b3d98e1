import type { GroupReply } from '@orthokin/contract';
import { useRemembered } from '../device/useRemembered.js';
import { say } from '../words/api.js';
import { useClub } from './club.js';
import { useGroups } from './groups.js';

/** Value for "everybody". */
const ALL = '';

export interface GroupFilter {
  /** The selected squad; `null` for everybody. */
  readonly group: GroupReply | null;
  /** The squad's members in the coach's order; everybody in the given order. */
  readonly of: <Line>(lines: readonly Line[], idOf: (line: Line) => string) => readonly Line[];
  /** Props of a field to choose by; `null` if the club has no squads. */
  readonly field: {
    readonly label: string;
    readonly hideLabel: true;
    readonly value: string;
    readonly options: readonly (readonly [id: string, name: string])[];
    readonly onChange: (id: string) => void;
  } | null;
}

/** The squad a coach looks at: the same on every page, remembered per club on this device. */
export function useGroupFilter(): GroupFilter {
  const { clubId } = useClub();
  const groups = useGroups();
  const [chosen, choose] = useRemembered<string>(`squad-of-${clubId}`, ALL);
  const all = groups.data ?? [];
  const group = all.find(({ id }) => id === chosen) ?? null;
  return {
    group,
    of: (lines, idOf) => {
      if (!group) return lines;
      const byId = new Map(lines.map((line) => [idOf(line), line] as const));
      return group.athleteIds.flatMap((id) => byId.get(id) ?? []);
    },
    field:
      all.length === 0
        ? null
        : {
            label: say('squadToSee'),
            hideLabel: true,
            value: group?.id ?? ALL,
            options: [[ALL, say('everyone')], ...all.map(({ id, name }) => [id, name] as const)],
            onChange: choose,
          },
  };
}
