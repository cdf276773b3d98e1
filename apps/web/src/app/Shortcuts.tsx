import type { ReactElement } from 'react';
import { Dialog, DialogTrigger, Heading, Modal } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../parts/Button.js';
import { IconButton } from '../parts/IconButton.js';
import { colour, MONO } from '../parts/tokens.js';

/** The keys of a drill, as its screen answers to them. */
const KEYS: readonly (readonly [keys: string, what: string])[] = [
  ['space', 'first move'],
  ['→', 'arrived (optional)'],
  ['↓', 'action'],
  ['enter', 'home'],
  ['P', 'pause, and go on'],
  ['R', 'redo the last rep'],
  ['X', 'strike the last rep out, or put it back'],
  ['esc', 'stop'],
];

const Sheet = styled(Modal)`
  position: fixed;
  inset: 0;
  z-index: 4;
  display: grid;
  place-items: center;
  padding: 16px;
  background: rgb(15 23 30 / 45%);
  section {
    width: min(460px, 100%);
    padding: 24px 28px;
    border-radius: 5px;
    background: ${colour('paper')};
    outline: none;
  }
  h2 {
    margin: 0 0 14px;
  }
  dl {
    display: grid;
    grid-template-columns: 90px 1fr;
    gap: 9px 12px;
    margin: 0 0 22px;
  }
  dt {
    font-family: ${MONO};
    font-weight: 700;
  }
  dd {
    margin: 0;
  }
`;

/** The sheet of shortcuts behind the question mark. */
export const Shortcuts = (): ReactElement => (
  <DialogTrigger>
    <IconButton aria-label="Keys">?</IconButton>
    <Sheet isDismissable>
      <Dialog>
        {({ close }) => (
          <>
            <Heading slot="title">Keys during a drill</Heading>
            <dl>
              {KEYS.map(([keys, what]) => (
                <div key={keys} style={{ display: 'contents' }}>
                  <dt>{keys}</dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
            <Button onPress={close}>Close</Button>
          </>
        )}
      </Dialog>
    </Sheet>
  </DialogTrigger>
);
