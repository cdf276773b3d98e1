import { Play, Redo2, Save, Undo2 } from 'lucide-react';
import { memo, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { Refused } from '../api/client.js';
import { Button } from '../parts/Button.js';
import { IconButton } from '../parts/IconButton.js';
import { Notice } from '../parts/Notice.js';
import { Quiet } from '../parts/Text.js';
import { colour, FONT, NARROW } from '../parts/tokens.js';
import { OvertakenPattern } from './OvertakenPattern.js';
import { useEditor } from './state/editor.js';
import { StudioMenu } from './StudioMenu.js';
import { say } from '../words/studio.js';

const Bar = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  padding-bottom: 14px;
  .react-aria-TextField {
    flex: 1 1 260px;
    min-width: 0;
  }
  input {
    width: 100%;
    padding: 2px 4px;
    border: 0;
    border-bottom: 2px solid transparent;
    background: none;
    color: ${colour('ink')};
    font: 750 28px/1.2 ${FONT};
  }
  input:hover,
  input:focus {
    border-bottom-color: ${colour('rule')};
  }
  .state {
    font-size: 15px;
  }
  .acts {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  @media (max-width: ${NARROW}) {
    .react-aria-TextField {
      flex-basis: 100%;
    }
    input {
      font-size: 24px;
    }
  }
`;

const CONFLICT = 409;

/** The pattern's name, its save state, and links. */
export const StudioHead = memo(function StudioHead(): ReactElement {
  const editor = useEditor();
  const { pattern, version, unsaved, edit, saveError } = editor;
  const navigate = useNavigate();
  const run = async () => {
    if (!unsaved || (await editor.save())) void navigate(`/floor?pattern=${editor.patternId}`);
  };
  const openTheirs = () => {
    // Otherwise reloading would open the draft again.
    editor.discard();
    setTimeout(() => window.location.reload());
  };
  const overtaken = saveError instanceof Refused && saveError.status === CONFLICT;
  return (
    <>
      <Bar>
        <TextField
          aria-label={say('namePattern')}
          value={pattern.name}
          maxLength={80}
          onChange={(name) => edit((now) => ({ ...now, name }), 'name')}
        >
          <Input />
        </TextField>
        <Quiet className="state" role="status">
          {unsaved
            ? version === 0
              ? say('newKeptThisDevice')
              : say('changedSinceVersionVersionKeptThis', { version })
            : say('versionVersionSaved', { version })}
        </Quiet>
        <div className="acts">
          <IconButton aria-label={say('undo')} isDisabled={!editor.canUndo} onPress={editor.undo}>
            <Undo2 size={20} />
          </IconButton>
          <IconButton aria-label={say('redo')} isDisabled={!editor.canRedo} onPress={editor.redo}>
            <Redo2 size={20} />
          </IconButton>
          <Button
            isDisabled={!unsaved || editor.saving || pattern.name.trim() === ''}
            onPress={() => void editor.save()}
          >
            <Save size={18} aria-hidden /> {say('save')}
          </Button>
          <Button
            weight="main"
            isDisabled={pattern.targets.length === 0 || editor.saving}
            onPress={() => void run()}
          >
            <Play size={17} aria-hidden /> {say('run')}
          </Button>
          <StudioMenu />
        </div>
      </Bar>
      {overtaken && <OvertakenPattern openTheirs={openTheirs} />}
      {saveError && !overtaken && (
        <div style={{ marginBottom: 14 }}>
          <Notice action={<Button onPress={() => void editor.save()}>{say('tryAgain')}</Button>}>
            {say('notSavedButKeptThisDevice', { message: saveError.message })}
          </Notice>
        </div>
      )}
    </>
  );
});
