import type { ReactElement } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { Button, ButtonLink } from '../parts/Button.js';
import { Sheet } from '../parts/Sheet.js';
import { Heading as SmallHeading } from '../parts/Text.js';
import { MONO } from '../parts/tokens.js';
import { say } from '../words/app.js';

type Keys = readonly (readonly [keys: string, what: string])[];

/** The keys during a drill. */
const DRILL_KEYS: Keys = [
  ['space', say('firstMove')],
  ['→', say('arrivedOptional')],
  ['↓', 'action'],
  ['enter', 'home'],
  ['P', say('pauseGo')],
  ['R', say('redoLastRep')],
  ['X', say('strikeLastRepOutPutBack')],
  ['1 2 3', say('sayWatchedFaultTakeBack')],
  ['Y N', say('whatAppearedArrivalRightWrong')],
  [say('l'), say('callTargetSetCalledPerson')],
  ['Z', say('fullScreenBack')],
  ['esc', 'stop'],
];

/** The keys of a rehearsal. */
const REHEARSAL_KEYS: Keys = [
  ['← →', say('callBeforeNext')],
  ['P', say('stayHereGo')],
  [say('n19'), say('checkPointHoldsDoesNotNot')],
];

/** The keys of the studio. */
const STUDIO_KEYS: Keys = [
  [say('ctrlZ'), say('undoShiftRedo')],
  [say('ctrlS'), 'save'],
  ['arrows', say('moveWhatPicked5CmShift')],
  ['[ ]', say('turnPickedFoot')],
  ['delete', say('takePickedStepOut')],
  ['P', say('playPause')],
  ['F J', say('tapLeftRightWhileTapping')],
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

/** The keys of every place, with links to the walk and to the glossary. */
export const ShortcutSheet = ({
  onClose,
  onWalk,
}: {
  onClose: () => void;
  onWalk: () => void;
}): ReactElement => (
  <Sheet isOpen isDismissable onOpenChange={onClose}>
    <Dialog>
      <Heading slot="title">{say('keysDuringDrill')}</Heading>
      <KeyList keys={DRILL_KEYS} />
      <SmallHeading>{say('keysWhileRehearsing')}</SmallHeading>
      <KeyList keys={REHEARSAL_KEYS} />
      <SmallHeading>{say('keysPatternStudio')}</SmallHeading>
      <KeyList keys={STUDIO_KEYS} />
      <p style={{ display: 'flex', flexWrap: 'wrap', gap: 10, margin: 0 }}>
        <Button
          onPress={() => {
            onClose();
            onWalk();
          }}
        >
          {say('takeWalk')}
        </Button>
        <ButtonLink to="/words" onClick={onClose}>
          {say('whatFiguresMean')}
        </ButtonLink>
        <Button onPress={onClose}>{say('close')}</Button>
      </p>
    </Dialog>
  </Sheet>
);
