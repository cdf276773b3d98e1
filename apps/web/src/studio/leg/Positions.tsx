import {
  MAX_CUE_WORDS,
  notesOf,
  POSITION_NAMES,
  positionOf,
  withNotes,
  type Leg,
  type PositionName,
} from '@orthokin/core/pattern';
import { Pencil } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { OpenField } from '../../parts/form/TextField.js';
import { IconButton } from '../../parts/IconButton.js';
import { PHASE_COLOURS } from '../../parts/phases.js';
import { PositionStill, WeightBar } from '../../parts/PositionStill.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { useEditor } from '../state/editor.js';
import { POSITION_WORDS } from '../../words/position.js';
import { baseWords, headingWords, windowWords } from '../../words/check-point.js';
import { useUnit } from '../state/unit.js';
import { say } from '../../words/studio.js';
import { semicolonList } from '../../words/format.js';

const Card = styled.article`
  display: grid;
  grid-template-columns: 124px minmax(0, 1fr);
  gap: 4px 14px;
  padding: 9px 0 14px;
  border-top: 3px solid;
  font-size: 15px;
  h3 {
    margin: 0;
    font-size: 18px;
  }
  header {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  .cue {
    margin-left: auto;
    color: ${colour('quiet')};
    font-size: 16px;
    text-align: right;
  }
  ul {
    margin: 2px 0 0;
    padding-left: 18px;
  }
`;

/** Edits the notes on a position. */
function NotesForm({ leg, name }: { leg: Leg; name: PositionName }): ReactElement {
  const { pattern, edit } = useEditor();
  const { cue, checkPoints } = notesOf(pattern, leg, name);
  const shared = name === 'load' || name === 'action' ? '' : say('sameEveryTarget');
  const write = (lines: readonly string[]) =>
    edit(
      (now) => withNotes(now, leg.target, name, { cue, checkPoints: lines }),
      `check points ${name}`,
    );
  return (
    <div style={{ display: 'grid', gap: 8, marginTop: 4 }}>
      <OpenField
        label={say('cueMostMaxcuewordsWordsShared', { MAXCUEWORDS: MAX_CUE_WORDS, shared })}
        value={cue}
        maxLength={60}
        onChange={(text) =>
          edit((now) => withNotes(now, leg.target, name, { cue: text, checkPoints }), `cue ${name}`)
        }
      />
      <OpenField
        label={say('checkPointsOneLine')}
        rows={4}
        maxLength={1200}
        value={checkPoints.join('\n')}
        onChange={(text) => write(text.split('\n').slice(0, 12))}
        onBlur={() => {
          const lines = checkPoints.map((line) => line.trim()).filter(Boolean);
          if (lines.length !== checkPoints.length) write(lines);
        }}
      />
    </div>
  );
}

function PositionCard({ leg, name }: { leg: Leg; name: PositionName }): ReactElement {
  const { pattern } = useEditor();
  const { unit } = useUnit();
  const [editing, setEditing] = useState(false);
  const standing = positionOf(pattern, leg, name);
  const { cue, checkPoints } = notesOf(pattern, leg, name);
  const words = POSITION_WORDS[name];
  return (
    <Card style={{ borderTopColor: PHASE_COLOURS[name] }} aria-label={words}>
      {standing ? (
        <PositionStill
          standing={standing}
          phase={name}
          width={124}
          height={96}
          label={`${words}, ${baseWords(standing, pattern, unit)}`}
        />
      ) : (
        <Quiet>{say('noSuchPositionThisLeg')}</Quiet>
      )}
      <div>
        <header>
          <h3>{words}</h3>
          <span className="cue">{cue && `“${cue}”`}</span>
          <IconButton
            aria-label={say('whichCueCheckPointsWords', {
              which: editing ? say('close') : say('write'),
              words: words.toLowerCase(),
            })}
            onPress={() => setEditing(!editing)}
          >
            <Pencil size={16} />
          </IconButton>
        </header>
        {standing && (
          <>
            <WeightBar leftWeight={standing.leftWeight} />
            <div>
              {semicolonList([
                baseWords(standing, pattern, unit),
                headingWords(standing),
                windowWords(name, pattern),
              ])}
              .
            </div>
          </>
        )}
        {editing ? (
          <NotesForm leg={leg} name={name} />
        ) : (
          checkPoints.length > 0 && (
            <ul>
              {checkPoints.map((point) => (
                <li key={point}>{point}</li>
              ))}
            </ul>
          )
        )}
      </div>
    </Card>
  );
}

/** The open leg's positions as stills, to be inspected and described. */
export const Positions = ({ leg }: { leg: Leg }): ReactElement => (
  <section aria-label={say('positions')}>
    {POSITION_NAMES.map((name) => (
      <PositionCard key={name} leg={leg} name={name} />
    ))}
  </section>
);
