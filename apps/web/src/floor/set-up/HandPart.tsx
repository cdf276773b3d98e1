import { calibrate, CALIBRATION_BEEPS } from '@orthokin/core/timing';
import { problemSentence } from '@orthokin/core/result';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { Dialog, DialogTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import type { HandKeeping } from '../../drill/hand.js';
import { allowSound, planBeep } from '../../sound/audio.js';
import { Button } from '../../parts/Button.js';
import { TextField } from '../../parts/form/TextField.js';
import { Sheet } from '../../parts/Sheet.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { secondsWithUnit } from '../../words/format.js';
import { say } from '../../words/floor.js';

const EVERY_MS = 700;
const LEAD_MS = 1500;
const AFTER_MS = 600;

const Tap = styled.button`
  width: 100%;
  min-height: 170px;
  margin: 16px 0;
  border: 2px solid ${colour('ink')};
  border-radius: 5px;
  background: ${colour('raised')};
  color: ${colour('ink')};
  font: 700 26px inherit;
  font-family: inherit;
  cursor: pointer;
  touch-action: manipulation;
  &:active {
    background: ${colour('ink')};
    color: ${colour('paper')};
  }
`;

/** Plays beeps to tap along to, and reports planned and pressed times, page ms. */
function Tapping({
  onDone,
}: {
  onDone: (beeps: readonly number[], presses: readonly number[]) => void;
}): ReactElement {
  const presses = useRef<number[]>([]);
  const [count, setCount] = useState(0);
  const press = (at: number) => {
    presses.current.push(at);
    setCount(presses.current.length);
  };
  const done = useRef(onDone);
  useEffect(() => {
    const first = performance.now() + LEAD_MS;
    const beeps = Array.from({ length: CALIBRATION_BEEPS }, (_, i) => first + EVERY_MS * i);
    const cancels = beeps.map((at) => planBeep({ hz: 660, lengthS: 0.05, level: 0.5 }, at));
    const key = (event: KeyboardEvent) => {
      if (event.code !== 'Space' || event.repeat) return;
      event.preventDefault();
      press(event.timeStamp);
    };
    window.addEventListener('keydown', key, { capture: true });
    const timer = setTimeout(
      () => done.current(beeps, presses.current),
      (beeps.at(-1) ?? first) + AFTER_MS - performance.now(),
    );
    return () => {
      cancels.forEach((cancel) => cancel());
      window.removeEventListener('keydown', key, { capture: true });
      clearTimeout(timer);
    };
  }, []);
  return (
    <Tap type="button" autoFocus onPointerDown={(event) => press(event.timeStamp)}>
      {say('tapAlongSpaceHereCountCalibrationbeeps', {
        count,
        CALIBRATIONBEEPS: CALIBRATION_BEEPS,
      })}
    </Tap>
  );
}

/** Who presses, and their timing error, calibrated by tapping along to beeps. */
export function HandPart({ hands }: { hands: HandKeeping }): ReactElement {
  const { hand, setPerson, keep } = hands;
  const [tapping, setTapping] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const { calibration } = hand;
  const said = calibration
    ? say('personPressesAbsMsWhichThis', {
        person: hand.person,
        early: secondsWithUnit(Math.abs(calibration.biasMs)),
        which: calibration.biasMs < 0 ? 'early' : 'late',
        sure: secondsWithUnit(calibration.sdMs),
      })
    : say('personNotCalibratedThisDeviceOne', {
        person: hand.person,
        sure: secondsWithUnit(hand.sdMs),
      });
  const begin = async () => {
    await allowSound();
    setProblem(null);
    setTapping(true);
  };
  return (
    <Quiet
      as="div"
      style={{ display: 'flex', flexWrap: 'wrap', gap: '6px 14px', alignItems: 'center' }}
    >
      <span style={{ flex: '1 1 340px' }}>{said}</span>
      <DialogTrigger onOpenChange={() => setTapping(false)}>
        <Button>{calibration ? say('calibrateAgain') : say('calibrateHand')}</Button>
        <Sheet isDismissable>
          <Dialog>
            {({ close }) => (
              <>
                <Heading slot="title">{say('calibrateHand')}</Heading>
                <TextField
                  label={say('whoPresses')}
                  value={hand.person}
                  onChange={setPerson}
                  maxLength={40}
                  required
                />
                {tapping ? (
                  <Tapping
                    onDone={(beeps, presses) => {
                      const found = calibrate(beeps, presses);
                      if (found.ok) keep(found.value);
                      else setProblem(problemSentence(found.problem));
                      setTapping(false);
                    }}
                  />
                ) : (
                  <>
                    <p role="status">{problem ?? said}</p>
                    <div style={{ display: 'flex', gap: 12 }}>
                      <Button weight={calibration ? 'plain' : 'main'} onPress={() => void begin()}>
                        {say('hearCalibrationbeepsBeepsTapAlong', {
                          CALIBRATIONBEEPS: CALIBRATION_BEEPS,
                        })}
                      </Button>
                      <Button onPress={close}>{say('close')}</Button>
                    </div>
                  </>
                )}
              </>
            )}
          </Dialog>
        </Sheet>
      </DialogTrigger>
    </Quiet>
  );
}
