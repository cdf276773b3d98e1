import { COURSE_DURATIONS } from '@orthokin/core/stats';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { dayWords } from '../../words/format.js';
import { SelectField } from '../../parts/form/SelectField.js';
import type { CourseView, Kind } from '../course-view.js';
import { say } from '../../words/review.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px 14px;
  margin-top: 16px;
  > * {
    flex: 0 1 150px;
  }
  > .wide {
    flex: 0 1 360px;
  }
  > button {
    flex: none;
  }
`;

/** Which sets, which duration, and which two spans of days are held against each other. */
export function CourseControls({
  kinds,
  kind,
  view,
  onChange,
}: {
  kinds: readonly Kind[];
  kind: Kind;
  view: CourseView;
  onChange: (change: Partial<CourseView>) => void;
}): ReactElement {
  const days = [...new Set(kind.sets.map(({ day }) => day))];
  const options = days.map((day) => [day, dayWords(`${day}T12:00:00`)] as const);
  const [first = '', last = ''] = [days[0], days.at(-1)];
  const middle = days[Math.floor((days.length - 1) / 2)] ?? first;
  const isChosen = view.from !== '';
  const chosen = isChosen
    ? view
    : { from: first, until: first, since: days.length > 1 ? last : first, to: last };
  const choose = (part: Partial<CourseView>) =>
    onChange({
      ...{ from: chosen.from, until: chosen.until, since: chosen.since, to: chosen.to },
      ...part,
    });
  const none = { from: '', until: '', since: '', to: '' };
  return (
    <Row className="no-print">
      <div className="wide">
        <SelectField
          label={say('sets')}
          value={kind.key}
          options={kinds.map(({ key, words }) => [key, words] as const)}
          onChange={(key) => onChange({ kind: key, ...none })}
        />
      </div>
      <SelectField
        label={say('duration2')}
        value={view.duration}
        options={COURSE_DURATIONS}
        onChange={(duration) => onChange({ duration })}
      />
      {isChosen ? (
        <>
          {(
            [
              ['from', say('beforeFrom')],
              ['until', 'to'],
              ['since', say('afterFrom')],
              ['to', 'until'],
            ] as const
          ).map(([name, label]) => (
            <SelectField
              key={name}
              label={label}
              value={chosen[name]}
              options={options}
              onChange={(day) => choose({ [name]: day })}
            />
          ))}
          <Button onPress={() => onChange(none)}>{say('firstLastAgain')}</Button>
        </>
      ) : (
        days.length > 1 && (
          <Button onPress={() => onChange({ from: first, until: middle, since: last, to: last })}>
            {say('chooseDaysCompare')}
          </Button>
        )
      )}
    </Row>
  );
}
