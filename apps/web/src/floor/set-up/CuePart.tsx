import { CUE_ORDERS } from '@orthokin/core/cue';
import {
  SCREEN_KINDS,
  screenKindOf,
  SOUND_KINDS,
  soundKindOf,
  type Conditions,
  type CueKind,
  type ScreenKind,
  type SoundKind,
} from '@orthokin/core/drill';
import type { ReactElement } from 'react';
import { SelectField } from '../../parts/form/SelectField.js';
import { Fields } from '../../parts/form/Fields.js';
import { say } from '../../words/floor.js';
import { kindWords, orderWords } from '../../words/set-up.js';

/** Each kind by its words, and none of them. */
const choices = <Kind extends CueKind>(
  kinds: readonly Kind[],
): (readonly [Kind | 'none', string])[] => [
  ...kinds.map((kind) => [kind, kindWords(kind)] as const),
  ['none', say('nothing')],
];

/** What is called, in which order, and how it is perceived. */
export function CuePart({
  conditions,
  onChange,
}: {
  conditions: Conditions;
  onChange: (change: Partial<Conditions>) => void;
}): ReactElement {
  const screen = screenKindOf(conditions) ?? 'none';
  const sound = soundKindOf(conditions) ?? 'none';
  const kinds = (on: ScreenKind | 'none', heard: SoundKind | 'none') => {
    const chosen = [on, heard].filter((kind): kind is CueKind => kind !== 'none');
    // A cue needs at least one kind that is seen or heard.
    onChange({ cueKinds: chosen.length > 0 ? chosen : ['tone'] });
  };
  return (
    <Fields>
      <SelectField
        label={say('order')}
        value={conditions.order}
        options={CUE_ORDERS.map((order) => [order, orderWords(order)] as const)}
        onChange={(order) => onChange({ order })}
      />
      <SelectField
        label={say('screen')}
        value={screen}
        options={choices(SCREEN_KINDS)}
        onChange={(kind) => kinds(kind, sound)}
      />
      <SelectField
        label={say('hear')}
        value={sound}
        options={choices(SOUND_KINDS)}
        onChange={(kind) => kinds(screen, kind)}
      />
    </Fields>
  );
}
