import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { inShoulders, measuredWords, say } from '../../words/film.js';
import { Row } from '../Row.js';
import { HOME_PLACE, type GroundWork } from './useGround.js';

/** Measuring lengths on the floor: what to click next, and the results. */
export function GroundPart({
  work,
  cameraMoved,
  shoulderM,
}: {
  work: GroundWork;
  /** Whether the camera has moved since the floor was clicked. */
  cameraMoved: boolean;
  /** The athlete's shoulder width, if it was measured, m. */
  shoulderM: number | null;
}): ReactElement {
  const { asked, ground, measured } = work;
  return (
    <section style={{ marginTop: 22 }}>
      <Heading>{say('floorUnderIt')}</Heading>
      {cameraMoved && <Notice>{say('cameraMoved')}</Notice>}
      {!work.isOn ? (
        <Row>
          <Button onPress={work.begin}>{say('measureOnFloor')}</Button>
        </Row>
      ) : (
        <>
          <p role="status" style={{ margin: '6px 0' }}>
            {asked
              ? asked.letter === HOME_PLACE
                ? say('clickHome')
                : say('clickMarker', { letter: asked.letter })
              : measured
                ? say('measuredIs', {
                    length: measuredWords(measured),
                    shoulders: shoulderM === null ? '' : inShoulders(measured, shoulderM),
                  })
                : ground
                  ? say('clickTwoPlaces')
                  : ''}
          </p>
          {work.problem && <Notice>{say('tooFewPlaces')}</Notice>}
          {ground && (
            <Quiet style={{ fontSize: 15 }}>{say('fits', { px: ground.rmsPx.toFixed(1) })}</Quiet>
          )}
          <Quiet style={{ fontSize: 15 }}>{say('onlyOnFloor')}</Quiet>
          <Row>
            {asked && <Button onPress={work.passOver}>{say('notInPicture')}</Button>}
            <Button onPress={work.again}>{say('clickAgain')}</Button>
            <Button onPress={work.end}>{say('doneMeasuring')}</Button>
          </Row>
        </>
      )}
    </section>
  );
}
