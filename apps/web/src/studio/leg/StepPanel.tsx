import {
  changeLeg,
  changePlacement,
  insertPlacement,
  PLACEMENT_PHASES,
  removePlacement,
  STEP_KINDS,
  type Leg,
  type Placement,
} from '@orthokin/core/pattern';
import { otherSide } from '@orthokin/core/floor';
import { ArrowLeftRight, Plus, Trash2, X } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { LengthField, NumberField, ShareField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { IconButton } from '../../parts/IconButton.js';
import { Heading } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { useEditor } from '../state/editor.js';
import { useSelection } from '../state/selection.js';
import { useUnit } from '../state/unit.js';
import { say } from '../../words/studio.js';

const Box = styled.section`
  margin-bottom: 18px;
  padding: 12px 14px 14px;
  border: 1.5px solid ${colour('ink')};
  border-radius: 5px;
  background: ${colour('raised')};
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 8px 10px;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 12px;
  }
  .ways button {
    min-height: 40px;
    padding: 6px 11px;
    font-size: 15px;
  }
`;

/** Everything about the selected step. */
export function StepPanel({ leg, index }: { leg: Leg; index: number }): ReactElement | null {
  const { edit } = useEditor();
  const { unit } = useUnit();
  const { pick } = useSelection();
  const placement = leg.placements[index];
  if (!placement) return null;
  const onLeg = (change: (old: Leg) => Leg) => edit((now) => changeLeg(now, leg.target, change));
  const change = (to: Partial<Placement>) => {
    onLeg((old) => changePlacement(old, index, to));
    // Another time may change the step's index.
    if (to.atMs !== undefined) {
      const moved = changePlacement(leg, index, to).placements;
      pick(
        moved.findIndex(
          ({ foot, atMs, at }) =>
            foot === placement.foot && atMs === to.atMs && at === placement.at,
        ),
      );
    }
  };
  return (
    <Box aria-label={say('stepIndex', { index: index + 1 })}>
      <header>
        <Heading style={{ margin: 0 }}>
          {say('stepIndexFootFoot', { index: index + 1, foot: placement.foot })}
        </Heading>
        <IconButton aria-label={say('letGoStep')} onPress={() => pick(null)}>
          <X size={19} />
        </IconButton>
      </header>
      <div className="fields">
        <LengthField
          label={say('rightHome')}
          unit={unit}
          value={placement.at.x}
          onChange={(x) => change({ at: { ...placement.at, x } })}
        />
        <LengthField
          label={say('forward')}
          unit={unit}
          value={placement.at.y}
          onChange={(y) => change({ at: { ...placement.at, y } })}
        />
        <NumberField
          label={say('heading')}
          unit="°"
          min={-360}
          max={360}
          value={placement.headingDeg}
          onChange={(headingDeg) => change({ headingDeg })}
        />
        <NumberField
          label={say('lands')}
          unit="ms"
          min={-1000}
          max={20_000}
          value={placement.atMs}
          onChange={(atMs) => change({ atMs })}
        />
        <ShareField
          label={say('weight')}
          value={placement.weight}
          onChange={(weight) => change({ weight })}
        />
        <SelectField
          label={say('kind')}
          value={placement.kind}
          options={STEP_KINDS}
          onChange={(kind) => change({ kind })}
        />
        <SelectField
          label={say('phase')}
          value={placement.phase}
          options={PLACEMENT_PHASES}
          onChange={(phase) => change({ phase })}
        />
      </div>
      <div className="ways">
        <Button onPress={() => change({ foot: otherSide(placement.foot) })}>
          <ArrowLeftRight size={17} aria-hidden /> {say('otherFoot')}
        </Button>
        <Button
          onPress={() => {
            onLeg((old) => insertPlacement(old, index));
            pick(index + 1);
          }}
        >
          <Plus size={17} aria-hidden /> {say('stepAfter')}
        </Button>
        <Button
          onPress={() => {
            onLeg((old) => removePlacement(old, index));
            pick(null);
          }}
        >
          <Trash2 size={17} aria-hidden /> {say('takeOut')}
        </Button>
      </div>
    </Box>
  );
}
