import type { BestHome } from '@orthokin/core/budget';
import { HOME, type Point } from '@orthokin/core/floor';
import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { bestHomeSentence } from '../../words/budget.js';
import { say } from '../../words/ladder.js';

/** A smaller gain is not worth suggesting, ms. */
const WORTH_MS = 20;

/** Suggests the home base that leaves most time at the tightest target. */
export function BestHomePart({
  best,
  waitsAt = HOME,
  name,
  onWait,
}: {
  best: BestHome;
  waitsAt: Point | undefined;
  name: string;
  onWait: (at: Point) => void;
}): ReactElement {
  const isWorth = best.spareMs - best.nowSpareMs >= WORTH_MS;
  return (
    <p style={{ margin: 0, maxWidth: '76ch' }}>
      {isWorth ? bestHomeSentence(best, waitsAt, name) : say('waitsWell')}{' '}
      {isWorth && <Button onPress={() => onWait(best.at)}>{say('waitThere')}</Button>}
    </p>
  );
}
