import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { Quiet } from '../../parts/Text.js';
import { fromCue, say } from '../../words/film.js';
import { Row } from '../Row.js';
import type { FirstMoveWork } from './useFirstMove.js';

/** Suggests where to look for the first move; the coach marks it. */
export const FirstMovePart = ({
  work: { suggested, suggest },
}: {
  work: FirstMoveWork;
}): ReactElement => (
  <>
    <Row>
      <Button isDisabled={suggested === 'looking'} onPress={suggest}>
        {say(suggested === 'looking' ? 'lookingForMove' : 'whereFirstMove')}
      </Button>
    </Row>
    {suggested !== null && suggested !== 'looking' && (
      <Quiet role="status" style={{ fontSize: 15 }}>
        {suggested === 'nobody'
          ? say('noMoveSeen')
          : say('moveBetween', {
              from: fromCue(suggested.fromMs),
              to: fromCue(suggested.toMs),
            })}
      </Quiet>
    )}
  </>
);
