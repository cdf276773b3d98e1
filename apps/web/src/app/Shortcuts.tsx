import type { ReactElement } from 'react';
import { Dialog, DialogTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../parts/Button.js';
import { IconButton } from '../parts/IconButton.js';
import { Sheet } from '../parts/Sheet.js';
import { Heading as SmallHeading } from '../parts/Text.js';
import { MONO } from '../parts/tokens.js';

type Keys = readonly (readonly [keys: string, what: string])[];

/** The keys of a drill, as its screen answers to them. */
const DRILL_KEYS: Keys = [
  ['space', 'first move'],
  ['→', 'arrived (optional)'],
  ['↓', 'action'],
  ['enter', 'home'],
  ['P', 'pause, and go on'],
  ['R', 'redo the last rep'],
  ['X', 'strike the last rep out, or put it back'],
  ['1 2 3', 'say a watched fault, or take it back'],
  ['Y N', 'what appeared at arrival: right, wrong'],
  ['A to L', 'call that target, in a set called by a person'],
  ['Z', 'full screen, and back'],
  ['esc', 'stop'],
];

/** The keys of a rehearsal. */
const REHEARSAL_KEYS: Keys = [
  ['← →', 'the call before, the next'],
  ['P', 'stay here, and go on'],
  ['1 to 9', 'a check point: holds, does not, not looked at'],
];

/** The keys of the studio. */
const STUDIO_KEYS: Keys = [
  ['ctrl Z', 'undo; with shift, redo'],
  ['ctrl S', 'save'],
  ['arrows', 'move what is picked by 5 cm; with shift, 1 cm'],
  ['[ ]', 'turn the picked foot'],
  ['delete', 'take the picked step out'],
  ['P', 'play, and pause'],
  ['F J', 'tap left and right while tapping in'],
];

const List = styled.dl`
  display: grid;
  grid-template-columns: 90px 1fr;
  gap: 7px 12px;
  margin: 0 0 20px;
  dt {
    font-family: ${MONO};
    font-weight: 700;
  }
  dd {
    margin: 0;
  }
`;

const KeyList = ({ keys }: { keys: Keys }) => (
  <List>
    {keys.map(([key, what]) => (
      <div key={key} style={{ display: 'contents' }}>
        <dt>{key}</dt>
        <dd>{what}</dd>
      </div>
    ))}
  </List>
);

/** The sheet of shortcuts behind the question mark. */
export const Shortcuts = (): ReactElement => (
  <DialogTrigger>
    <IconButton aria-label="Keys">?</IconButton>
    <Sheet isDismissable>
      <Dialog>
        {({ close }) => (
          <>
            <Heading slot="title">Keys during a drill</Heading>
            <KeyList keys={DRILL_KEYS} />
            <SmallHeading>Keys while rehearsing</SmallHeading>
            <KeyList keys={REHEARSAL_KEYS} />
            <SmallHeading>Keys in the pattern studio</SmallHeading>
            <KeyList keys={STUDIO_KEYS} />
            <Button onPress={close}>Close</Button>
          </>
        )}
      </Dialog>
    </Sheet>
  </DialogTrigger>
);
