import {
  COURT_NAMES,
  COURTS,
  LENGTH_UNITS,
  SIDES,
  type CourtName,
  type LengthUnit,
  type Side,
} from '@orthokin/core/floor';
import {
  AGE_BANDS,
  LONGEST_CLUB_NAME,
  LONGEST_NAME,
  LONGEST_SPORT,
  type AgeBand,
} from '@orthokin/core/people';
import { useContext, useState, type ReactElement } from 'react';
import { Form } from 'react-aria-components';
import { useNavigate } from 'react-router';
import { ChosenClub } from '../../api/club.js';
import { asBegun, useBeginClub, type Begun } from '../../api/people.js';
import { Button } from '../../parts/Button.js';
import { Fields, WideField } from '../../parts/form/Fields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { listWords } from '../../words/format.js';
import { say, SIDE_WORDS } from '../../words/people.js';

const COURT_OPTIONS = COURT_NAMES.map((name) => [name, COURTS[name].name] as const);
const HANDS = SIDES.map((side) => [side, SIDE_WORDS[side]] as const);

/** Creates a club, with as few questions as a drill needs. */
export function BeginClub(): ReactElement {
  const navigate = useNavigate();
  const { open } = useContext(ChosenClub);
  const begin = useBeginClub();
  const [name, setName] = useState('');
  const [sport, setSport] = useState('');
  const [court, setCourt] = useState<CourtName>('squash');
  const [unit, setUnit] = useState<LengthUnit>('metres');
  const [athlete, setAthlete] = useState('');
  const [hand, setHand] = useState<Side>('right');
  const [ageBand, setAgeBand] = useState<AgeBand>('adult');
  const missing = [
    ...(name.trim() === '' ? [say('theClubsName')] : []),
    ...(athlete.trim() === '' ? [say('theAthletesName')] : []),
  ];
  const send = () => {
    if (missing.length > 0 || begin.isPending) return;
    const asked = {
      club: { name: name.trim(), sport: sport.trim(), unit },
      ...{ court, patternName: say('firstSteps') },
      athlete: { ...{ name: athlete.trim(), hand, ageBand }, colourVision: 'full' as const },
    };
    // A second attempt continues with the club already created, under its new name if that changed.
    const begun: Begun = begin.variables ? { ...begin.variables, ...asked } : asBegun(asked);
    begin.mutate(begun, {
      onSuccess: ({ clubId }) => {
        open(clubId);
        void navigate(`/floor/${begun.athleteId}`);
      },
    });
  };
  return (
    <Form
      style={{ marginTop: 22 }}
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <Fields>
        <WideField>
          <OpenField
            label={say('clubName')}
            value={name}
            maxLength={LONGEST_CLUB_NAME}
            autoFocus
            onChange={setName}
          />
        </WideField>
        <OpenField
          label={say('sport')}
          value={sport}
          maxLength={LONGEST_SPORT}
          onChange={setSport}
        />
        <SelectField
          label={say('floor')}
          value={court}
          options={COURT_OPTIONS}
          onChange={(chosen) => {
            // By default the sport is that of the floor.
            if (sport === '') setSport(COURTS[chosen].name.split(',')[0] ?? '');
            setCourt(chosen);
          }}
        />
        <SelectField
          label={say('lengthsIn')}
          value={unit}
          options={LENGTH_UNITS}
          onChange={setUnit}
        />
      </Fields>
      <Heading style={{ marginTop: 24 }}>{say('firstAthlete')}</Heading>
      <Fields>
        <WideField>
          <OpenField
            label={say('name')}
            value={athlete}
            maxLength={LONGEST_NAME}
            onChange={setAthlete}
          />
        </WideField>
        <SelectField label={say('hand')} value={hand} options={HANDS} onChange={setHand} />
        <SelectField
          label={say('ageBand')}
          value={ageBand}
          options={AGE_BANDS}
          onChange={setAgeBand}
        />
      </Fields>
      {begin.error && <Notice>{begin.error.message}</Notice>}
      <p style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 16 }}>
        <Button type="submit" weight="main" isDisabled={missing.length > 0 || begin.isPending}>
          {begin.isPending ? say('beginning') : say('begin')}
        </Button>
        {missing.length > 0 && (
          <Quiet as="span">{say('fillIn', { what: listWords(missing) })}</Quiet>
        )}
      </p>
    </Form>
  );
}
