import { type RepMarks } from '@orthokin/core/film';
import type { Pattern, PositionName } from '@orthokin/core/pattern';
import { legOf, positionOf } from '@orthokin/core/pattern';
import { ImageDown } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../parts/Button.js';
import { download, fileName } from '../parts/download.js';
import { PHASE_COLOURS } from '../parts/phases.js';
import { PositionStill } from '../parts/PositionStill.js';
import { Heading, Quiet } from '../parts/Text.js';
import { colour, MONO } from '../parts/tokens.js';
import { fromCue, say } from '../words/film.js';
import { POSITION_WORDS } from '../words/position.js';
import { Picture } from './Picture.js';
import { Row } from './Row.js';
import { sheetOf } from './still-sheet.js';

/** Height of a still as it is asked for, px. */
export const STILL_HEIGHT = 180;

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
  b {
    font-weight: 650;
  }
  small {
    font: 14px ${MONO};
    color: ${colour('quiet')};
  }
`;

/** A position that can be seen in a rep, and its frame. */
export interface SeenPosition {
  readonly name: Exclude<PositionName, 'action'>;
  readonly frame: number;
}

/** The positions of a rep whose frames are known: stance at its cue, the others where they were marked. */
export const positionsSeen = ({ frames }: RepMarks, cueFrame: number): SeenPosition[] => {
  const at = {
    stance: cueFrame,
    split: frames.splitLanding,
    load: frames.arrival,
    recovery: frames.home,
  };
  return (['stance', 'split', 'load', 'recovery'] as const).flatMap((name) => {
    const frame = at[name];
    return frame === undefined ? [] : [{ name, frame }];
  });
};

/** The positions of a rep as stills, each beside the plan's; to look at and to take along. */
export function Positions({
  seen,
  better,
  pictures,
  pattern,
  letter,
  fromCueMs,
  title,
  onGo,
}: {
  seen: readonly SeenPosition[];
  /** A rep to the same target that was home sooner. */
  better: { readonly ordinal: number; readonly seen: readonly SeenPosition[] } | null;
  /** Of the positions seen, then of those of the better rep. */
  pictures: readonly ImageBitmap[];
  pattern: Pattern;
  letter: string;
  /** When a frame is, ms from the cue. */
  fromCueMs: (frame: number) => number;
  title: string;
  onGo: (frame: number) => void;
}): ReactElement | null {
  const leg = legOf(pattern, letter);
  const others = better?.seen ?? [];
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
      <List>
        {seen.map(({ name, frame }, i) => {
          const plan = leg && positionOf(pattern, leg, name);
          const bitmap = pictures[i];
          const other = others.findIndex((each) => each.name === name);
          const besides = other < 0 ? undefined : pictures[seen.length + other];
          return (
            <li key={name} style={{ borderColor: PHASE_COLOURS[name] }}>
              <div className="stills">
                {bitmap && <Picture bitmap={bitmap} />}
                {plan && (
                  <PositionStill
                    standing={plan}
                    phase={name}
                    width={150}
                    height={84}
                    label={say('planOf', { position: POSITION_WORDS[name] })}
                  />
                )}
                {besides && better && (
                  <>
                    <Picture bitmap={besides} />
                    <small>{say('betterRep', { ordinal: better.ordinal })}</small>
                  </>
                )}
              </div>
              <b>{POSITION_WORDS[name]}</b> <small>{fromCue(fromCueMs(frame))}</small>
              <br />
              <Button onPress={() => onGo(frame)}>{say('goThere')}</Button>
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
