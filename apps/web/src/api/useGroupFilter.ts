import type { GroupReply } from '@orthokin/contract';
import { useRemembered } from '../device/useRemembered.js';
import { say } from '../words/api.js';
import { useClub } from './club.js';
import { useGroups } from './groups.js';

/** Of everyone. */
const ALL = '';

export interface GroupFilter {
  /** The squad that is looked at; `null` for everyone. */
  readonly group: GroupReply | null;
  /** Those of the squad in the coach's own order; everyone as they came. */
  readonly of: <Line>(lines: readonly Line[], idOf: (line: Line) => string) => readonly Line[];
  /** For a field to choose by; `null` where there is nothing to choose. */
  readonly field: {
    readonly label: string;
    readonly hideLabel: true;
    readonly value: string;
    readonly options: readonly (readonly [id: string, name: string])[];
    readonly onChange: (id: string) => void;
  } | null;
}

/** The squad a coach looks at, the same on every page, remembered for the club on this device. */
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
