import { ChevronLeft, ChevronRight, Pause, Play, SkipBack, SkipForward } from 'lucide-react';
import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { say } from '../../words/film.js';
import { percent } from '../../words/format.js';
import { Row } from '../Row.js';
import { SPEEDS, type Playing, type Speed } from './usePlay.js';

/** Stepping, playing, and going from rep to rep. */
export function Transport({
  play,
  onStep,
  onEvent,
  before,
  next,
}: {
  play: Playing;
  onStep: (by: number) => void;
  /** Goes to the previous or next marked event; `null` until frames have times. */
  onEvent: ((way: 1 | -1) => void) | null;
  /** Goes to the previous rep; `null` at the first. */
  before: (() => void) | null;
  next: (() => void) | null;
}): ReactElement {
  return (
    <Row>
      <Button onPress={() => onStep(-1)}>
        <ChevronLeft size={18} aria-hidden /> {say('stepBack')} <kbd>←</kbd>
      </Button>
      <Button onPress={() => onStep(1)}>
        {say('stepOn')} <kbd>→</kbd> <ChevronRight size={18} aria-hidden />
      </Button>
      <Button isDisabled={onEvent === null} onPress={() => onEvent?.(-1)}>
        {say('eventBefore')} <kbd>↑</kbd>
      </Button>
      <Button isDisabled={onEvent === null} onPress={() => onEvent?.(1)}>
        {say('nextEvent')} <kbd>↓</kbd>
      </Button>
      <Button onPress={play.toggle}>
        {play.playing ? <Pause size={18} aria-hidden /> : <Play size={18} aria-hidden />}
        {play.playing ? say('pause') : say('play')}
      </Button>
      <div style={{ width: 110 }}>
        <SelectField
          label={say('speed')}
          value={String(play.speed)}
          options={SPEEDS.map((speed) => [String(speed), percent(speed)] as const)}
          onChange={(speed) => play.setSpeed(Number(speed) as Speed)}
        />
      </div>
      <Button isDisabled={before === null} onPress={() => before?.()}>
        <SkipBack size={18} aria-hidden /> {say('repBefore')}
      </Button>
      <Button isDisabled={next === null} onPress={() => next?.()}>
        {say('nextRep')} <SkipForward size={18} aria-hidden />
      </Button>
    </Row>
  );
}
