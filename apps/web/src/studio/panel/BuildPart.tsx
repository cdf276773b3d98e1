import { readyStance } from '@orthokin/core/footwork';
import { SIDES } from '@orthokin/core/floor';
import type { Pattern } from '@orthokin/core/pattern';
import { laidFor as relaid, ownBuild } from '@orthokin/core/people';
import type { ReactElement } from 'react';
import { usePeople } from '../../api/people.js';
import { LengthField, NumberField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { useEditor } from '../state/editor.js';
import { useUnit } from '../state/unit.js';
import { Part, Row } from './Part.js';
import { say } from '../../words/studio.js';

/** The body sizes by which footwork is laid out. */
export function BuildPart(): ReactElement {
  const { pattern, edit } = useEditor();
  const { unit } = useUnit();
  const { laidFor, splitWindowMs } = pattern;
  const build = (change: Partial<Pattern['laidFor']>) =>
    edit((now) => ({ ...now, laidFor: { ...now.laidFor, ...change } }));
  const people = usePeople();
  const sized = (people.data ?? []).filter(
    ({ archived, heightM, shoulderM, reachM, reaches }) =>
      !archived && (heightM ?? shoulderM ?? reachM ?? reaches),
  );
  const layFor = (id: string) => {
    const person = sized.find((one) => one.id === id);
    if (person) edit((now) => relaid(now, ownBuild(person, now).build));
  };
  return (
    <Part aria-label={say('laid')}>
      <Heading>{say('laidAthlete')}</Heading>
      {sized.length > 0 && (
        <SelectField
          label={say('takeLengthsOf')}
          value="none"
          options={[
            ['none', say('nobodysLengths')],
            ...sized.map(({ id, name }) => [id, name] as const),
          ]}
          onChange={layFor}
        />
      )}
      <Row>
        <LengthField
          label={say('shoulders')}
          unit={unit}
          min={0.2}
          max={0.8}
          value={laidFor.shoulderM}
          onChange={(shoulderM) =>
            edit((now) => ({
              ...now,
              laidFor: { ...now.laidFor, shoulderM },
              stance: readyStance(shoulderM),
            }))
          }
        />
        <LengthField
          label={say('strideTwoSteps')}
          unit={unit}
          min={0.6}
          max={3}
          value={laidFor.strideM}
          onChange={(strideM) => build({ strideM })}
        />
        <LengthField
          label={say('reach')}
          unit={unit}
          min={0}
          max={2.5}
          value={laidFor.reachM}
          onChange={(reachM) => build({ reachM })}
        />
        <NumberField
          label={say('reaction')}
          unit="ms"
          min={100}
          max={1000}
          value={laidFor.reactionMs}
          onChange={(reactionMs) => build({ reactionMs })}
        />
        <NumberField
          label={say('acceleration')}
          unit="m/s²"
          decimals={1}
          min={1}
          max={30}
          value={laidFor.travel.acceleration}
          onChange={(acceleration) => build({ travel: { ...laidFor.travel, acceleration } })}
        />
        <NumberField
          label={say('topSpeed')}
          unit="m/s"
          decimals={1}
          min={1}
          max={12}
          value={laidFor.travel.topSpeed}
          onChange={(topSpeed) => build({ travel: { ...laidFor.travel, topSpeed } })}
        />
        <NumberField
          label={say('splitEarliest')}
          unit="ms"
          min={-1000}
          max={splitWindowMs[1]}
          value={splitWindowMs[0]}
          onChange={(from) =>
            edit((now) => ({ ...now, splitWindowMs: [from, now.splitWindowMs[1]] }))
          }
        />
        <NumberField
          label={say('splitLatest')}
          unit="ms"
          min={splitWindowMs[0]}
          max={1000}
          value={splitWindowMs[1]}
          onChange={(to) => edit((now) => ({ ...now, splitWindowMs: [now.splitWindowMs[0], to] }))}
        />
        <SelectField
          label={say('playingHand')}
          value={pattern.hand}
          options={SIDES}
          onChange={(hand) => edit((now) => ({ ...now, hand }))}
        />
      </Row>
      <Quiet style={{ fontSize: 15, marginTop: 8 }}>{say('reachLoadPlacedMuchShortMarker')}</Quiet>
    </Part>
  );
}
