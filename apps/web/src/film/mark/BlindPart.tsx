import { type Alignment, FEWEST_TWICE, markedTwice } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { fineSeconds, say } from '../../words/film.js';
import { Row } from '../Row.js';
import type { Marking } from './useMarking.js';

/** Measures the marker's own repeatability: the same events are marked again, without the first marks. */
export function BlindPart({
  marking,
  framesMs,
  alignment,
  ownSdMs,
  onKnown,
}: {
  marking: Marking;
  framesMs: readonly number[];
  alignment: Alignment;
  ownSdMs: number | null;
  onKnown: (sdMs: number) => void;
}): ReactElement {
  const { marks, again, isBlind, beginBlind, endBlind } = marking;
  const { events, sdMs } = markedTwice(marks, again, framesMs, alignment.rate);
  return (
    <section style={{ marginTop: 22 }}>
      <Heading>{say('howSurelyYouMark')}</Heading>
      <Quiet>
        {isBlind
          ? say('markedTwice', { events, needed: FEWEST_TWICE })
          : ownSdMs === null
            ? say('usualMarker')
            : say('knownMarker', { sd: fineSeconds(ownSdMs) })}
      </Quiet>
      {isBlind && sdMs !== null && (
        <p role="status" style={{ margin: '4px 0' }}>
          {say('marksDiffer', { sd: fineSeconds(sdMs), events })}
        </p>
      )}
      <Row>
        {isBlind ? (
          <>
            <Button
              isDisabled={sdMs === null}
              onPress={() => {
                if (sdMs !== null) onKnown(sdMs);
                endBlind();
              }}
            >
              {say('useIt')}
            </Button>
            <Button onPress={endBlind}>{say('backToFirst')}</Button>
          </>
        ) : (
          <Button onPress={beginBlind}>{say('markAgainBlind')}</Button>
        )}
      </Row>
    </section>
  );
}
