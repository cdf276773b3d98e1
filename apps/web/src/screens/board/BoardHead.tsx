import type { BoardNews } from '@orthokin/contract/live-messages';
import type { ReactElement } from 'react';
import { Headline, Quiet } from '../../parts/Text.js';
import { clockWords, say } from '../../words/plan.js';

/** The current block and its clock. */
export function BoardHead({
  news: { block, place, blocks, isPaused },
  leftS,
}: {
  news: BoardNews;
  /** Seconds left in the block; negative when overrunning. */
  leftS: number;
}): ReactElement {
  const isOverTime = leftS < 0;
  return (
    <header>
      <div>
        <Quiet>{say('blockPlace', { place, count: blocks })}</Quiet>
        <Headline>{block}</Headline>
      </div>
      <div>
        <Quiet>{say(isPaused ? 'isPaused' : isOverTime ? 'overBy' : 'leftInBlock')}</Quiet>
        <span className="clock" role="timer" data-over={isOverTime || undefined}>
          {clockWords(Math.ceil(Math.abs(leftS)))}
        </span>
      </div>
    </header>
  );
}
