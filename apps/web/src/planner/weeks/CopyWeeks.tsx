import { LONGEST_NAME } from '@orthokin/core/people';
import { mondayOf } from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import { useGroups } from '../../api/groups.js';
import { Button } from '../../parts/Button.js';
import { DateField } from '../../parts/form/DateField.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading } from '../../parts/Text.js';
import { say } from '../../words/weeks.js';
import { ShortFields } from '../ShortFields.js';

/** Copies the weeks and sessions for another squad from another week; nothing if there is no squad. */
export function CopyWeeks({
  name,
  startsOn,
  isBusy,
  onCopy,
}: {
  name: string;
  startsOn: string;
  isBusy: boolean;
  onCopy: (name: string, athleteIds: readonly string[], startsOn: string) => void;
}): ReactElement | null {
  const { data: groups = [] } = useGroups();
  const [chosen, setChosen] = useState<string | null>(null);
  const [from, setFrom] = useState(startsOn);
  const group = groups.find(({ id }) => id === chosen) ?? groups[0];
  if (!group) return null;
  const copyName = say('copyName', { name, group: group.name }).slice(0, LONGEST_NAME);
  return (
    <section style={{ marginTop: 26 }}>
      <Heading>{say('copyHead')}</Heading>
      <ShortFields>
        <SelectField
          label={say('copyTo')}
          value={group.id}
          options={groups.map((one) => [one.id, one.name] as const)}
          onChange={setChosen}
        />
        <DateField
          label={say('copyFrom')}
          value={from}
          onChange={(to) => to !== null && setFrom(mondayOf(to))}
        />
        <Button isDisabled={isBusy} onPress={() => onCopy(copyName, group.athleteIds, from)}>
          {say('copy')}
        </Button>
      </ShortFields>
    </section>
  );
}
