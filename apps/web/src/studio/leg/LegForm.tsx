import { layLeg, usualPlan } from '@orthokin/core/footwork';
import type { Target } from '@orthokin/core/floor';
import {
  changeLeg,
  copyLegAcross,
  counterpartOf,
  INTENTS,
  LOAD_STANCES,
  RECOVERY_WAYS,
  TRAVEL_WAYS,
  withLeg,
  type Leg,
  type LegPlan,
} from '@orthokin/core/pattern';
import { FlipHorizontal2, Footprints } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { NumberField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { colour } from '../../parts/tokens.js';
import { useEditor } from '../state/editor.js';
import { useSelection } from '../state/selection.js';
import { say } from '../../words/studio.js';

const Form = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  align-items: center;
  gap: 8px 12px;
  margin-bottom: 16px;
  padding-bottom: 14px;
  border-bottom: 1px solid ${colour('rule')};
  button[data-small] {
    min-height: 40px;
    padding: 6px 10px;
    font-size: 15px;
  }
  details {
    grid-column: 1 / -1;
    font-size: 15px;
  }
  summary {
    cursor: pointer;
    padding: 4px 0;
  }
  .times {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 8px;
    padding-top: 6px;
  }
`;

/** The open leg's template. A change lays all feet anew; they can then be moved by hand. */
export function LegForm({ target, leg }: { target: Target; leg: Leg | undefined }): ReactElement {
  const { pattern, edit } = useEditor();
  const { pick, open } = useSelection();
  const plan: LegPlan = leg ?? usualPlan(target);
  const lay = (change: Partial<LegPlan>) => {
    pick(null);
    edit((now) => withLeg(now, layLeg(now, target, { ...planOf(plan), ...change }, leg)));
  };
  const across = counterpartOf(pattern, target.letter);
  const copy = () => {
    const copied = copyLegAcross(pattern, target.letter);
    if (!copied.ok) return;
    edit(() => copied.value);
    const there = counterpartOf(copied.value, target.letter);
    if (there) open(there.letter);
  };
  const moment = (name: 'firstMoveMs' | 'actionMs' | 'departureMs', label: string) =>
    leg && (
      <NumberField
        label={label}
        unit="ms"
        min={-500}
        max={10_000}
        value={leg[name]}
        onChange={(ms) =>
          edit((now) => changeLeg(now, leg.target, (old) => ({ ...old, [name]: ms })))
        }
      />
    );
  return (
    <Form>
      <SelectField
        label={say('travel')}
        value={plan.travel}
        options={TRAVEL_WAYS}
        onChange={(travel) => lay({ travel })}
      />
      <SelectField
        label={say('load')}
        value={plan.load}
        options={LOAD_STANCES}
        onChange={(load) => lay({ load })}
      />
      <SelectField
        label={say('recover')}
        value={plan.recover}
        options={RECOVERY_WAYS}
        onChange={(recover) => lay({ recover })}
      />
      <SelectField
        label={say('intent')}
        value={plan.intent}
        options={INTENTS}
        onChange={(intent) =>
          leg
            ? edit((now) => changeLeg(now, leg.target, (old) => ({ ...old, intent })))
            : lay({ intent })
        }
      />
      <CheckField isSelected={plan.quicken} onChange={(quicken) => lay({ quicken })}>
        {say('stepsQuicken')}
      </CheckField>
      <Button data-small weight={leg ? 'plain' : 'main'} onPress={() => lay({})}>
        <Footprints size={17} aria-hidden /> {leg ? say('layFeetAnew') : say('layFeet')}
      </Button>
      {leg && (
        <Button data-small onPress={copy}>
          <FlipHorizontal2 size={17} aria-hidden />
          {across ? say('copyAcrossLetter', { letter: across.letter }) : say('copyOtherSide')}
        </Button>
      )}
      {leg && (
        <details>
          <summary>{say('momentsLeg')}</summary>
          <div className="times">
            {moment('firstMoveMs', say('firstMove'))}
            {moment('actionMs', say('action'))}
            {moment('departureMs', say('pushOff'))}
          </div>
        </details>
      )}
    </Form>
  );
}

const planOf = ({ target, intent, travel, load, recover, quicken }: LegPlan): LegPlan => ({
  ...{ target, intent, travel, load, recover, quicken },
});
