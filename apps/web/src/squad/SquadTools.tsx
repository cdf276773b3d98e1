import type { ReactElement } from 'react';
import { SearchField } from '../parts/form/SearchField.js';
import { SelectField } from '../parts/form/SelectField.js';
import type { GroupFilter } from '../api/useGroupFilter.js';
import { say } from '../words/squad.js';

export type SquadOrder = 'need' | 'name' | 'squad';

/** Search, squad filter and order of the squad page. */
export const SquadTools = ({
  search,
  group,
  order,
}: {
  /** `null` if there are too few to search. */
  search: { readonly text: string; readonly onChange: (text: string) => void } | null;
  group: GroupFilter['field'];
  /** `null` if there is nothing to sort. */
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
