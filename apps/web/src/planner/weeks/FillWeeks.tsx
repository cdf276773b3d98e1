import { daysLater, SESSION_MINUTES, TEMPLATE_NAMES, type TemplateName } from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { CountField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { TimeField } from '../../parts/form/TimeField.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { weekdayName } from '../../words/format.js';
import { templateWords } from '../../words/plan.js';
import { say } from '../../words/weeks.js';
import { People } from '../People.js';
import { ShortFields } from '../ShortFields.js';

/** Which sessions to fill the weeks with. */
export interface Filling {
  /** 0 Monday to 6 Sunday. */
  readonly weekdays: readonly number[];
  readonly startsAt: string;
  readonly minutes: number;
  readonly template: TemplateName;
}

const A_MONDAY = '2026-03-02';
const DAYS = [0, 1, 2, 3, 4, 5, 6];
const USUAL: Filling = { weekdays: [], startsAt: '17:00', minutes: 60, template: 'squad' };

/** Adds sessions to all weeks, on chosen days of the week. */
export function FillWeeks({
  isBusy,
  said,
  onFill,
}: {
  isBusy: boolean;
  /** The result, as a sentence. */
  said: string;
  onFill: (filling: Filling) => void;
}): ReactElement {
  const [filling, setFilling] = useState(USUAL);
  const { weekdays, startsAt, minutes, template } = filling;
  const set = (part: Partial<Filling>) => setFilling({ ...filling, ...part });
  return (
    <section style={{ marginTop: 26 }}>
      <Heading>{say('fillHead')}</Heading>
      <Quiet>{say('fillMeans')}</Quiet>
      <People role="group" aria-label={say('onDays')}>
        {DAYS.map((weekday) => (
          <button
            key={weekday}
            type="button"
            aria-pressed={weekdays.includes(weekday)}
            onClick={() =>
              set({
                weekdays: weekdays.includes(weekday)
                  ? weekdays.filter((one) => one !== weekday)
                  : [...weekdays, weekday],
              })
            }
          >
            {weekdayName(daysLater(A_MONDAY, weekday))}
          </button>
        ))}
      </People>
      <ShortFields>
        <TimeField label={say('at')} value={startsAt} onChange={(at) => set({ startsAt: at })} />
        <CountField
          label={say('minutes')}
          value={minutes}
          min={SESSION_MINUTES[0]}
          max={SESSION_MINUTES[1]}
          onChange={(to) => set({ minutes: to })}
        />
        <SelectField
          label={say('from')}
          value={template}
          options={TEMPLATE_NAMES.map((name) => [name, templateWords(name)[0]] as const)}
          onChange={(to) => set({ template: to })}
        />
        <Button isDisabled={isBusy || weekdays.length === 0} onPress={() => onFill(filling)}>
          {say('fill')}
        </Button>
      </ShortFields>
      <Quiet role="status">{said || (weekdays.length === 0 && say('noDays'))}</Quiet>
    </section>
  );
}
