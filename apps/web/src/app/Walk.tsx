import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { Button } from '../parts/Button.js';
import { colour } from '../parts/tokens.js';
import { say } from '../words/app.js';
import { WALK } from './walk.js';

const Bar = styled.section`
  position: sticky;
  bottom: 0;
  z-index: 3;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 20px;
  padding: 12px 28px;
  border-top: 2px solid ${colour('ink')};
  background: ${colour('raised')};
  p {
    flex: 1 1 380px;
    margin: 0;
    max-width: 90ch;
  }
  .ways {
    display: flex;
    gap: 10px;
  }
`;

const WORDS = {
  squad: say('walkSquad'),
  floor: say('walkFloor'),
  review: say('walkReview'),
  ladder: say('walkLadder'),
  patterns: say('walkPatterns'),
} as const;

/** One step of the introduction, shown over the page it is about; can be left at any step. */
export function Walk({
  stop,
  onStop,
}: {
  stop: number;
  onStop: (stop: number | null) => void;
}): ReactElement | null {
  const navigate = useNavigate();
  const here = WALK[stop];
  if (!here) return null;
  const next = WALK[stop + 1];
  const go = (to: number) => {
    onStop(to);
    void navigate(WALK[to]?.[1] ?? '/');
  };
  return (
    <Bar aria-label={say('shortWalk')} className="no-print">
      <p role="status">
        <strong>{say('stopOf', { n: stop + 1, of: WALK.length })}</strong> {WORDS[here[0]]}
      </p>
      <div className="ways">
        {stop > 0 && <Button onPress={() => go(stop - 1)}>{say('back')}</Button>}
        {next ? (
          <Button weight="main" onPress={() => go(stop + 1)}>
            {say('goOn')}
          </Button>
        ) : null}
        <Button weight={next ? 'plain' : 'main'} onPress={() => onStop(null)}>
          {say(next ? 'leaveWalk' : 'endWalk')}
        </Button>
      </div>
    </Bar>
  );
}
