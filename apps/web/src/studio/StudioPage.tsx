import { outTimes, rhythmOf } from '@orthokin/core/footwork';
import { legOf, targetOf, type Pattern } from '@orthokin/core/pattern';
import type { LengthUnit } from '@orthokin/core/floor';
import {
  memo,
  useDeferredValue,
  useEffect,
  useMemo,
  useState,
  type ReactElement,
  type ReactNode,
} from 'react';
import { useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { usePattern } from '../api/patterns.js';
import { useRemembered } from '../device/useRemembered.js';
import { ButtonLink } from '../parts/Button.js';
import { Failed } from '../parts/Notice.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour, MIDDLE } from '../parts/tokens.js';
import { draftOf } from '../device/drafts.js';
import { EditorContext, useEditor, usePatternEditor, type Editor } from './state/editor.js';
import { Figures } from './Figures.js';
import { Findings } from './leg/Findings.js';
import { FloorPanel } from './panel/FloorPanel.js';
import { LegForm } from './leg/LegForm.js';
import { Player } from './score/player.js';
import { PlayerContext } from './score/player-context.js';
import { Positions } from './leg/Positions.js';
import { rhythmSentence } from '../words/rhythm.js';
import { Score } from './score/Score.js';
import { SelectionContext, useSelection, type Selection } from './state/selection.js';
import { StepPanel } from './leg/StepPanel.js';
import { StudioFloor } from './drawing/StudioFloor.js';
import { StudioHead } from './StudioHead.js';
import { TargetList } from './TargetList.js';
import { Transport } from './score/Transport.js';
import { UnitContext } from './state/unit.js';
import { useStudioKeys } from './useStudioKeys.js';
import { say } from '../words/studio.js';

const Bench = styled.div`
  display: grid;
  grid-template-columns: 178px minmax(0, 1fr) minmax(350px, 390px);
  grid-template-areas: 'parts floor panel' 'parts figures panel' 'score score panel';
  gap: 6px 28px;
  align-items: start;
  .parts {
    grid-area: parts;
  }
  .floor {
    grid-area: floor;
    min-width: 0;
  }
  .drawing {
    height: clamp(340px, calc(100vh - 412px), 620px);
  }
  &[data-open='floor'] .drawing {
    height: clamp(420px, calc(100vh - 240px), 760px);
  }
  .figures {
    grid-area: figures;
  }
  .panel {
    grid-area: panel;
    max-height: calc(100vh - 150px);
    overflow: auto;
    padding-right: 6px;
  }
  .score {
    grid-area: score;
    display: grid;
    grid-template-columns: minmax(0, 1fr) 230px;
    gap: 24px;
    margin-top: 10px;
    padding-top: 14px;
    border-top: 1px solid ${colour('rule')};
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-areas: 'parts' 'floor' 'figures' 'score' 'panel';
    .panel {
      max-height: none;
    }
    .score {
      grid-template-columns: minmax(0, 1fr);
    }
    .drawing,
    &[data-open='floor'] .drawing {
      height: min(70vh, 520px);
    }
  }
`;

/** The open leg is in the address, so that it can be linked to; the selected step is not. */
function useSelectionState(pattern: Pattern): Selection {
  const [params, setParams] = useSearchParams();
  const [step, pick] = useState<number | null>(null);
  const asked = params.get('leg');
  const letter = asked !== null && targetOf(pattern, asked) ? asked : null;
  return {
    letter,
    step,
    pick,
    open: (to) => {
      pick(null);
      setParams(to === null ? {} : { leg: to });
    },
  };
}

function Studio({
  patternId,
  version,
  pattern: loaded,
}: {
  patternId: string;
  version: number;
  pattern: Pattern;
}): ReactElement {
  const editor = usePatternEditor(patternId, { version, pattern: loaded });
  const { pattern } = editor;
  const selection = useSelectionState(pattern);
  const [unit, setUnit] = useRemembered<LengthUnit>('length-unit', 'metres');
  const [player] = useState(() => new Player());
  const { letter } = selection;
  const leg = letter === null ? undefined : legOf(pattern, letter);
  useEffect(() => player.load(leg ?? null), [player, leg]);
  useEffect(() => () => player.pause(), [player]);
  useStudioKeys(editor, selection, player);
  const units = useMemo(() => ({ unit, setUnit }), [unit, setUnit]);
  return (
    <EditorContext value={editor}>
      <SelectionContext value={selection}>
        <UnitContext value={units}>
          <PlayerContext value={player}>
            <Page
              name={say('patternPatterns', { pattern: pattern.name })}
              style={{ paddingTop: 16 }}
            >
              <Deferred editor={editor}>
                <StudioHead />
              </Deferred>
              <Bench data-open={leg ? 'leg' : 'floor'}>
                <div className="floor">
                  <div className="drawing">
                    <StudioFloor />
                  </div>
                </div>
                <Deferred editor={editor}>
                  <Besides />
                </Deferred>
              </Bench>
            </Page>
          </PlayerContext>
        </UnitContext>
      </SelectionContext>
    </EditorContext>
  );
}

/** Rendered deferred, so that a drag itself stays smooth. */
function Deferred({ editor, children }: { editor: Editor; children: ReactNode }): ReactElement {
  const calm = useDeferredValue(editor);
  return <EditorContext value={calm}>{children}</EditorContext>;
}

/** The columns beside the drawing: targets, figures, panel and step score. */
const Besides = memo(function Besides(): ReactElement {
  const { pattern } = useEditor();
  const { letter, step } = useSelection();
  const leg = letter === null ? undefined : legOf(pattern, letter);
  const target = letter === null ? undefined : targetOf(pattern, letter);
  return (
    <>
      <div className="parts">
        <TargetList />
      </div>
      <div className="figures">
        <Figures leg={leg} />
      </div>
      <div className="panel">
        {target && <LegForm target={target} leg={leg} />}
        {leg && step !== null && <StepPanel leg={leg} index={step} />}
        {leg && <Findings leg={leg} />}
        {leg && <Positions leg={leg} />}
        {target && !leg && (
          <Quiet>{say('noFeetLaidTargetYetChoose', { target: target.name })}</Quiet>
        )}
        {!target && <FloorPanel />}
      </div>
      {leg && (
        <div className="score">
          <Score leg={leg} />
          <Transport letter={leg.target} rhythm={rhythmSentence(rhythmOf(outTimes(leg)))} />
        </div>
      )}
    </>
  );
});

/** The pattern studio, with a pattern as saved or as left on this device. */
export function StudioPage(): ReactElement {
  const { patternId = '' } = useParams();
  const loaded = usePattern(patternId);
  const draft = draftOf(patternId);
  if (loaded.data) {
    const { id, version, ...pattern } = loaded.data;
    return <Studio key={id} patternId={id} version={version} pattern={pattern} />;
  }
  if (draft && !loaded.isPending)
    return <Studio key={patternId} patternId={patternId} {...draft} />;
  return (
    <Page name={say('patterns')}>
      {loaded.error ? (
        <Failed error={loaded.error} again={() => void loaded.refetch()} />
      ) : loaded.isPending ? (
        <Quiet>{say('openingPattern')}</Quiet>
      ) : (
        <>
          <Headline>{say('thereNoSuchPatternHere')}</Headline>
          <Quiet style={{ margin: '12px 0 20px' }}>{say('mayNeverHaveBeenSavedOnly')}</Quiet>
          <ButtonLink to="/patterns" $weight="main">
            {say('patterns2')}
          </ButtonLink>
        </>
      )}
    </Page>
  );
}
