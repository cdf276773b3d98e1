import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { Quiet } from '../../parts/Text.js';
import { MONO } from '../../parts/tokens.js';
import { say } from '../../words/game.js';

const Tally = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-top: 8px;
  .n {
    font: 750 clamp(40px, 6vw, 90px) / 1 ${MONO};
  }
  button {
    min-width: 84px;
    min-height: 72px;
    font-size: 26px;
  }
`;

/** Counts what somebody achieves in their turn, by pressing or by their station's key. */
export const CountOne = ({
  name,
  n,
  wanted,
  stationKey,
  before,
  onCount,
}: {
  name: string;
  n: number;
  /** The number wanted; `null`: as many as possible. */
  wanted: number | null;
  /** The key that counts one. */
  stationKey: string;
  before: { readonly best: number; readonly last: number } | null;
  onCount: (by: number) => void;
}): ReactElement => (
  <Tally>
    <span className="n" role="status" aria-label={say('countOf', { name })}>
      {n}
    </span>
    {wanted !== null && (
      <Quiet as="span">
        {say('wantedOf', { wanted })}
        {n >= wanted && <b> {say('isReached')}</b>}
      </Quiet>
    )}
    <Button weight="main" aria-label={say('oneMore', { name })} onPress={() => onCount(1)}>
      +1
    </Button>
    <Button aria-label={say('oneLess', { name })} isDisabled={n === 0} onPress={() => onCount(-1)}>
      −1
    </Button>
    <Quiet as="span">{say('countKey', { n: stationKey })}</Quiet>
    {before && <Quiet as="span">{say('before', before)}</Quiet>}
  </Tally>
);
