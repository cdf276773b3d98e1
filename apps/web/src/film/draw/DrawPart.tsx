import { DRAWN_KINDS, type DrawnKind } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { TextField } from '../../parts/form/TextField.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { say } from '../../words/film.js';
import { Row } from '../Row.js';
import type { DrawWork } from './useDrawing.js';

const TOOL_WORDS: Readonly<Record<DrawnKind, string>> = {
  line: say('drawLine'),
  angle: say('drawAngle'),
  path: say('drawPath'),
  word: say('drawWord'),
};

const HOW: Readonly<Record<DrawnKind, string>> = {
  line: say('drawLineHow'),
  angle: say('drawAngleHow'),
  path: say('drawPathHow'),
  word: say('drawWordHow'),
};

/** Tools to draw lines, angles, paths and words on the current frame. */
export function DrawPart({ work }: { work: DrawWork }): ReactElement {
  const { tool, choose, drawn, places } = work;
  return (
    <section style={{ marginTop: 22 }} aria-label={say('drawOnStill')}>
      <Heading>{say('drawOnStill')}</Heading>
      <Row>
        {DRAWN_KINDS.map((kind) => (
          <Button
            key={kind}
            aria-pressed={tool === kind}
            weight={tool === kind ? 'main' : 'plain'}
            onPress={() => choose(tool === kind ? null : kind)}
          >
            {TOOL_WORDS[kind]}
          </Button>
        ))}
      </Row>
      {tool !== null && (
        <>
          <Quiet role="status" style={{ fontSize: 15, margin: '8px 0' }}>
            {HOW[tool]}
          </Quiet>
          {tool === 'word' && (
            <div style={{ maxWidth: 280 }}>
              <TextField
                label={say('wordToWrite')}
                value={work.text}
                onChange={work.setText}
                maxLength={40}
              />
            </div>
          )}
          <Row>
            {tool === 'path' && (
              <Button isDisabled={places.length < 2} onPress={work.finish}>
                {say('pathDone')}
              </Button>
            )}
            <Button isDisabled={drawn.length === 0 && places.length === 0} onPress={work.takeBack}>
              {say('takeDrawnBack')}
            </Button>
            <Button onPress={() => choose(null)}>{say('doneDrawing')}</Button>
          </Row>
        </>
      )}
    </section>
  );
}
