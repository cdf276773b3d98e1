import { applyTaps, rhythmOf, type Tap } from '@orthokin/core/footwork';
import { legOf, withLeg } from '@orthokin/core/pattern';
import type { Side } from '@orthokin/core/floor';
import { useEffect, useState, type ReactElement } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { Sheet } from '../../parts/Sheet.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { useEditor } from '../state/editor.js';
import { rhythmSentence } from '../../words/rhythm.js';
import { say } from '../../words/studio.js';
import { commaList } from '../../words/format.js';

const Pads = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  margin: 14px 0;
  button {
    min-height: 96px;
    border: 2px solid ${colour('ink')};
    border-radius: 5px;
    background: ${colour('raised')};
    color: ${colour('ink')};
    font-size: 21px;
    font-weight: 700;
    touch-action: manipulation;
    cursor: pointer;
  }
  button:active {
    background: ${colour('rule')};
  }
  small {
    display: block;
    font-weight: 450;
    font-size: 15px;
  }
`;

const KEYS: Readonly<Record<string, Side>> = { KeyF: 'left', KeyJ: 'right' };

/** The taps' times and intervals. */
const Taps = ({ taps }: { taps: readonly Tap[] }): ReactElement => {
  const { intervalsMs } = rhythmOf(taps.map(({ atMs }) => atMs));
  return (
    <p className="mono" data-testid="intervals" style={{ margin: '0 0 8px', minHeight: 26 }}>
      {taps.length > 0 && (taps[0]?.foot === 'left' ? 'L' : 'R')}
      {intervalsMs.map((ms, i) => (
        <span key={i}>
          {' '}
          {say('roundMsWhich', {
            round: Math.round(ms),
            which: taps[i + 1]?.foot === 'left' ? 'L' : 'R',
          })}
        </span>
      ))}
    </p>
  );
};

/** Taps in a leg's rhythm with two keys or thumbs, to keep or discard. */
export function TapIn({
  letter,
  onClose,
}: {
  letter: string;
  onClose: () => void;
}): ReactElement | null {
  const { pattern, edit } = useEditor();
  const leg = legOf(pattern, letter);
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const tap = (foot: Side, atMs: number) => setTaps((before) => [...before, { foot, atMs }]);

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const foot = KEYS[event.code];
      if (!foot || event.repeat) return;
      event.preventDefault();
      tap(foot, event.timeStamp);
    };
    window.addEventListener('keydown', press, { capture: true });
    return () => window.removeEventListener('keydown', press, { capture: true });
  }, []);

  if (!leg) return null;
  const steps = leg.placements.filter(({ phase }) => phase !== 'split');
  const { otherFoot, unused, leg: tapped } = applyTaps(leg, taps);
  const keep = () => {
    edit((now) => withLeg(now, tapped));
    onClose();
  };
  return (
    <Sheet isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Dialog>
        <Heading slot="title">{say('tapRhythm')}</Heading>
        <Quiet>
          {say('stepsFromFirstAfterSplitHome', { steps: steps.length })}{' '}
          <span className="mono">
            {steps.map(({ foot }) => (foot === 'left' ? 'L' : 'R')).join(' ')}
          </span>
          {say('stopEarlyRestKeepsItsOwn')}
        </Quiet>
        <Pads>
          {(['left', 'right'] as const).map((foot) => (
            <button
              key={foot}
              type="button"
              onPointerDown={(event) => {
                event.preventDefault();
                tap(foot, event.timeStamp);
              }}
            >
              {foot === 'left' ? say('left') : say('right')}
              <small>{foot === 'left' ? 'F' : 'J'}</small>
            </button>
          ))}
        </Pads>
        <Taps taps={taps} />
        <p style={{ margin: '0 0 14px' }} role="status">
          {taps.length < 2
            ? say('twoTapsMakeInterval')
            : rhythmSentence(rhythmOf(taps.map(({ atMs }) => atMs))).replace(' out', '')}
          {otherFoot.length > 0 &&
            say('tapOtherfootWasOtherFootThan', { otherFoot: commaList(otherFoot) })}
          {unused > 0 && say('unusedMoreThanThereSteps', { unused })}
        </p>
        <div style={{ display: 'flex', gap: 10, flexWrap: 'wrap' }}>
          <Button weight="main" isDisabled={taps.length < 2} onPress={keep}>
            {say('keepTheseTimes')}
          </Button>
          <Button isDisabled={taps.length === 0} onPress={() => setTaps([])}>
            {say('tapAgain')}
          </Button>
          <Button onPress={onClose}>{say('discard')}</Button>
        </div>
      </Dialog>
    </Sheet>
  );
}
