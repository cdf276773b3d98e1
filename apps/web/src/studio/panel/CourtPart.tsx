import {
  COURT_NAMES,
  courtMarks,
  COURTS,
  courtOf,
  hasOwnSize,
  LENGTH_UNITS,
  withinCourt,
  type CourtName,
  type SizeM,
} from '@orthokin/core/floor';
import type { Pattern } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { LengthField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { useEditor } from '../state/editor.js';
import { useUnit } from '../state/unit.js';
import { Part, Row } from './Part.js';
import { homeWords } from '../../words/court.js';
import { say } from '../../words/studio.js';

/** Value for a place that is not the middle of a named line. */
const ELSEWHERE = 'elsewhere';

const isSame = (a: number, b: number): boolean => Math.abs(a - b) < 0.005;

const COURT_OPTIONS = COURT_NAMES.map((name) => [name, COURTS[name].name] as const);

/** The court, its size, and home base's place on it. */
export function CourtPart(): ReactElement {
  const { pattern, edit } = useEditor();
  const { unit, setUnit } = useUnit();
  const { court, sizeM, home } = pattern;
  const choose = (name: CourtName) => {
    const size = COURTS[name];
    edit((now) => ({
      ...now,
      court: name,
      sizeM: hasOwnSize(name) ? { widthM: size.widthM, lengthM: size.lengthM } : null,
      // On a new court home base starts in the middle.
      home: { ...now.home, onCourt: { x: 0, y: size.lengthM / 2 } },
    }));
  };
  const onCourt = (change: Partial<Pattern['home']['onCourt']>) =>
    edit((now) => ({ ...now, home: { ...now.home, onCourt: { ...now.home.onCourt, ...change } } }));
  const { widthM, lengthM } = courtOf(court, sizeM);
  // On a smaller floor home base is moved inside it.
  const resize = (to: SizeM) =>
    edit((now) => ({
      ...now,
      sizeM: to,
      home: { ...now.home, onCourt: withinCourt(court, to, now.home.onCourt) },
    }));
  const { across } = courtMarks(court, sizeM);
  const on = across.find(({ atM }) => isSame(atM, home.onCourt.y) && isSame(0, home.onCourt.x));
  return (
    <Part aria-label={say('court')}>
      <Row $columns="2fr 1fr">
        <SelectField label={say('court')} value={court} options={COURT_OPTIONS} onChange={choose} />
        <SelectField
          label={say('lengths')}
          value={unit}
          options={LENGTH_UNITS}
          onChange={setUnit}
        />
      </Row>
      <Row $columns="1fr">
        <SelectField
          label={say('homeStands')}
          value={on?.name ?? ELSEWHERE}
          options={[
            [ELSEWHERE, homeWords(court, sizeM, home.onCourt, unit)],
            ...across.map(({ name }) => [name, say('inMiddleOf', { name })] as const),
          ]}
          onChange={(name) => {
            const chosen = across.find((each) => each.name === name);
            if (chosen) onCourt({ x: 0, y: chosen.atM });
          }}
        />
      </Row>
      <Row>
        {sizeM && (
          <>
            <LengthField
              label={say('width')}
              unit={unit}
              min={1}
              max={120}
              value={widthM}
              onChange={(width) => resize({ lengthM, widthM: width })}
            />
            <LengthField
              label={say('length')}
              unit={unit}
              min={1}
              max={120}
              value={lengthM}
              onChange={(length) => resize({ widthM, lengthM: length })}
            />
            <span />
          </>
        )}
        <LengthField
          label={say('homeFromMiddle')}
          unit={unit}
          min={-widthM / 2}
          max={widthM / 2}
          value={home.onCourt.x}
          onChange={(x) => onCourt({ x })}
        />
        <LengthField
          label={say('homeFromBack')}
          unit={unit}
          min={0}
          max={lengthM}
          value={home.onCourt.y}
          onChange={(y) => onCourt({ y })}
        />
        <LengthField
          label={say('homeRadius')}
          unit={unit}
          min={0.2}
          max={3}
          value={home.radiusM}
          onChange={(radiusM) => edit((now) => ({ ...now, home: { ...now.home, radiusM } }))}
        />
      </Row>
    </Part>
  );
}
