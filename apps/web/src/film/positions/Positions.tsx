import type { Pattern, PositionName } from '@orthokin/core/pattern';
import { checkSeen, type RepMarks } from '@orthokin/core/film';
import { legOf, notesOf, positionOf } from '@orthokin/core/pattern';
import { ImageDown } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { CheckPoints } from '../../parts/CheckPoints.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { download, fileName } from '../../parts/download.js';
import { PHASE_COLOURS } from '../../parts/phases.js';
import { PositionStill } from '../../parts/PositionStill.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour, MONO } from '../../parts/tokens.js';
import { fromCue, say } from '../../words/film.js';
import { POSITION_WORDS } from '../../words/position.js';
import { Picture } from '../screen/Picture.js';
import { Row } from '../Row.js';
import { sheetOf } from './still-sheet.js';
import { BESIDES, type Beside, type SeenPositions } from './useSeenPositions.js';

const List = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
  li {
    padding-top: 6px;
    border-top: 4px solid;
  }
  .stills {
    display: grid;
    gap: 4px;
  }
  canvas {
    width: 100%;
    display: block;
  }
  [role='group'] button {
    width: 100%;
  }
  b {
    font-weight: 650;
  }
  small {
    font: 14px ${MONO};
    color: ${colour('quiet')};
  }
`;

const Laid = styled.div`
  position: relative;
  &[data-mirrored] canvas:last-of-type {
    transform: scaleX(-1);
  }
  &[data-over] canvas:last-of-type {
    position: absolute;
    inset: 0;
    opacity: 0.5;
  }
`;

const BESIDE_WORDS: Readonly<Record<Beside, string>> = {
  better: say('besideBetter'),
  mirror: say('besideMirror'),
};

/** A rep's positions as stills, each beside the plan's and another rep's, to look at and to export. */
export function Positions({
  positions: { seen, beside, wanted, want },
  pictures,
  pattern,
  letter,
  own,
  fromCueMs,
  title,
  onCheck,
  onGo,
}: {
  positions: SeenPositions;
  /** Pictures of the seen positions, then of those beside them. */
  pictures: readonly ImageBitmap[];
  pattern: Pattern;
  letter: string;
  /** The time of a frame, ms from the cue. */
  fromCueMs: (frame: number) => number;
  title: string;
  /** The rep's marks. */
  own: RepMarks;
  onCheck: (position: PositionName, point: string) => void;
  onGo: (frame: number) => void;
}): ReactElement | null {
  const [isOver, setOver] = useState(false);
  const leg = legOf(pattern, letter);
  const others = beside?.seen ?? [];
  if (seen.length < 2 || pictures.length !== seen.length + others.length)
    return <Quiet style={{ marginTop: 18 }}>{say('markForPositions')}</Quiet>;
  const save = async () => {
    const captions = seen.map(
      ({ name, frame }) => `${POSITION_WORDS[name]} ${fromCue(fromCueMs(frame))} s`,
    );
    download(
      fileName(title, 'png'),
      await sheetOf(title, pictures.slice(0, seen.length), captions),
    );
  };
  return (
    <section style={{ marginTop: 18 }} aria-label={say('positions')}>
      <Heading>{say('positions')}</Heading>
      <Row>
        <div style={{ width: 260 }}>
          <SelectField
            label={say('besideWhat')}
            value={wanted}
            options={BESIDES.map((each) => [each, BESIDE_WORDS[each]] as const)}
            onChange={want}
          />
        </div>
        {beside ? (
          <CheckField isSelected={isOver} onChange={setOver}>
            {say('overEachOther')}
          </CheckField>
        ) : (
          <Quiet style={{ fontSize: 15, paddingBottom: 10 }}>
            {say(wanted === 'mirror' ? 'noMirrorYet' : 'noBetterYet')}
          </Quiet>
        )}
      </Row>
      <List>
        {seen.map(({ name, frame }, i) => {
          const plan = leg && positionOf(pattern, leg, name);
          const bitmap = pictures[i];
          const other = others.findIndex((each) => each.name === name);
          const besides = other < 0 ? undefined : pictures[seen.length + other];
          return (
            <li key={name} style={{ borderColor: PHASE_COLOURS[name] }}>
              <div className="stills">
                <Laid
                  data-over={(isOver && besides) || undefined}
                  data-mirrored={(besides && beside?.of === 'mirror') || undefined}
                >
                  {bitmap && <Picture bitmap={bitmap} />}
                  {besides && <Picture bitmap={besides} />}
                </Laid>
                {besides && beside && (
                  <small>
                    {say(beside.of === 'mirror' ? 'mirroredRep' : 'betterRep', {
                      ordinal: beside.ordinal,
                    })}
                  </small>
                )}
                {plan && (
                  <PositionStill
                    standing={plan}
                    phase={name}
                    width={150}
                    height={84}
                    label={say('planOf', { position: POSITION_WORDS[name] })}
                  />
                )}
              </div>
              <b>{POSITION_WORDS[name]}</b> <small>{fromCue(fromCueMs(frame))}</small>
              <br />
              <Button onPress={() => onGo(frame)}>{say('goThere')}</Button>
              {leg && notesOf(pattern, leg, name).checkPoints.length > 0 && (
                <div style={{ marginTop: 8 }}>
                  <CheckPoints
                    points={notesOf(pattern, leg, name).checkPoints}
                    holds={(point) => checkSeen(own, name, point)}
                    onTick={(point) => onCheck(name, point)}
                  />
                </div>
              )}
            </li>
          );
        })}
      </List>
      <Row>
        <Button onPress={() => void save()}>
          <ImageDown size={18} aria-hidden /> {say('takeStills')}
        </Button>
      </Row>
    </section>
  );
}
