import type { ReactElement } from 'react';
import { SearchField } from '../parts/form/SearchField.js';
import { SelectField } from '../parts/form/SelectField.js';
import type { GroupFilter } from '../api/useGroupFilter.js';
import { say } from '../words/squad.js';

export type SquadOrder = 'need' | 'name' | 'squad';

/** Looking for somebody in the squad, one group of it, and the order it stands in. */
export const SquadTools = ({
  search,
  group,
  order,
}: {
  /** `null` where the few there are can be seen at a glance. */
  search: { readonly text: string; readonly onChange: (text: string) => void } | null;
  group: GroupFilter['field'];
  /** `null` where there is nothing to put in order. */
  order: {
    readonly value: SquadOrder;
    readonly options: readonly (readonly [SquadOrder, string])[];
    readonly onChange: (order: SquadOrder) => void;
  } | null;
}): ReactElement => (
  <>
    {search && (
      <SearchField
        label={say('find')}
        placeholder={say('findPlaceholder')}
        value={search.text}
        onChange={search.onChange}
      />
    )}
    {group && (
      <div className="choice">
        <SelectField {...group} />
      </div>
    )}
    {order && (
      <div className="choice">
        <SelectField label={say('orderBy')} hideLabel {...order} />
      </div>
    )}
  </>
);
