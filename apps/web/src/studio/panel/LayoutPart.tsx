import { layLeg, usualPlan } from '@orthokin/core/footwork';
import {
  LAYOUTS,
  layoutTargets,
  legOf,
  mirrorPattern,
  withLeg,
  withTargets,
  type Layout,
} from '@orthokin/core/pattern';
import { FlipHorizontal2, Footprints, LayoutGrid } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { LengthField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { useEditor } from '../state/editor.js';
import { useUnit } from '../state/unit.js';
import { Part, Row, Ways } from './Part.js';
import { say } from '../../words/studio.js';

const USUAL_DISTANCE_M = 2.5;

/** Presets, mirroring, and footwork for all targets at once. */
export function LayoutPart(): ReactElement {
  const { pattern, edit } = useEditor();
  const { unit } = useUnit();
  const [layout, setLayout] = useState<Layout>('star');
  const [distanceM, setDistanceM] = useState(USUAL_DISTANCE_M);
  const layAll = () =>
    edit((now) =>
      now.targets.reduce(
        (done, target) =>
          legOf(done, target.letter)
            ? done
            : withLeg(done, layLeg(done, target, usualPlan(target))),
        now,
      ),
    );
  const bare = pattern.targets.filter(({ letter }) => !legOf(pattern, letter)).length;
  return (
    <Part aria-label={say('layout')}>
      <Row>
        <SelectField label={say('layout')} value={layout} options={LAYOUTS} onChange={setLayout} />
        <LengthField
          label={say('distance')}
          unit={unit}
          min={0.5}
          max={30}
          value={distanceM}
          onChange={setDistanceM}
        />
        <Button
          onPress={() =>
            edit((now) => withTargets({ ...now, legs: [] }, layoutTargets(layout, distanceM)))
          }
        >
          <LayoutGrid size={17} aria-hidden /> {say('layOut')}
        </Button>
      </Row>
      <Ways>
        <Button isDisabled={bare === 0} weight={bare > 0 ? 'main' : 'plain'} onPress={layAll}>
          <Footprints size={17} aria-hidden /> {say('layAllFeet')}
        </Button>
        <Button onPress={() => edit(mirrorPattern)}>
          <FlipHorizontal2 size={17} aria-hidden /> {say('mirrorOtherHand')}
        </Button>
      </Ways>
    </Part>
  );
}
