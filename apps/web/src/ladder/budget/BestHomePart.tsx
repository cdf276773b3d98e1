import type { BestHome } from '@orthokin/core/budget';
import { HOME, type Point } from '@orthokin/core/floor';
import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { bestHomeSentence } from '../../words/budget.js';
import { say } from '../../words/ladder.js';

/** Less than this nobody gains by waiting elsewhere, ms. */
const WORTH_MS = 20;

/** Where waiting leaves most at the target that is tightest: a suggestion. */
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
