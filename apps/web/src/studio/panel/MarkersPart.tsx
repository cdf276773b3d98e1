import { MARKER_COLOURS, MARKER_SHAPES, TARGET_KINDS, type Target } from '@orthokin/core/floor';
import { nextMarker, withoutTarget, withTarget } from '@orthokin/core/pattern';
import { Plus, Trash2 } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { LengthField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { TextField } from '../../parts/form/TextField.js';
import { Marker } from '../../parts/plan/Marker.js';
import { IconButton } from '../../parts/IconButton.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { useEditor } from '../state/editor.js';
import { fromHome } from '../../words/marker.js';
import { useUnit } from '../state/unit.js';
import { Part, Ways } from './Part.js';
import { say } from '../../words/studio.js';

const MarkerRow = styled.li`
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr) 94px 94px;
  gap: 2px 8px;
  align-items: center;
  padding: 7px 0;
  border-top: 1px solid ${colour('rule')};
  .more {
    grid-column: 2 / -1;
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 8px;
  }
  .where {
    grid-column: 2 / -1;
    display: flex;
    align-items: center;
    justify-content: space-between;
    font-size: 15px;
    color: ${colour('quiet')};
  }
`;

function MarkerFields({ target }: { target: Target }): ReactElement {
  const { edit } = useEditor();
  const { unit } = useUnit();
  const [more, setMore] = useState(false);
  const change = (to: Partial<Target>) => edit((now) => withTarget(now, { ...target, ...to }));
  const named = `${target.letter}: `;
  return (
    <MarkerRow>
      <button
        type="button"
        aria-expanded={more}
        aria-label={say('shapeColourKindLetter', { letter: target.letter })}
        onClick={() => setMore(!more)}
        style={{ padding: 0, border: 0, background: 'none', cursor: 'pointer' }}
      >
        <Marker target={target} size={28} />
      </button>
      <TextField
        label={say('namedName', { named })}
        hideLabel
        maxLength={40}
        value={target.name}
        onChange={(name) => change({ name })}
      />
      <LengthField
        label={say('namedRightHome', { named })}
        hideLabel
        unit={unit}
        value={target.at.x}
        onChange={(x) => change({ at: { ...target.at, x } })}
      />
      <LengthField
        label={say('namedForwardHome', { named })}
        hideLabel
        unit={unit}
        value={target.at.y}
        onChange={(y) => change({ at: { ...target.at, y } })}
      />
      <div className="where">
        {say('fromhomeFromHomeBase', { fromHome: fromHome(target, unit) })}
        <IconButton
          aria-label={say('takeMarkerLetterAway', { letter: target.letter })}
          onPress={() => edit((now) => withoutTarget(now, target.letter))}
        >
          <Trash2 size={17} />
        </IconButton>
      </div>
      {more && (
        <div className="more">
          <SelectField
            label={say('shape')}
            value={target.shape}
            options={MARKER_SHAPES}
            onChange={(shape) => change({ shape })}
          />
          <SelectField
            label={say('colour')}
            value={target.colour}
            options={MARKER_COLOURS}
            onChange={(colour) => change({ colour })}
          />
          <SelectField
            label={say('kind')}
            value={target.kind}
            options={TARGET_KINDS}
            onChange={(kind) => change({ kind })}
          />
        </div>
      )}
    </MarkerRow>
  );
}

export function MarkersPart(): ReactElement {
  const { pattern, edit } = useEditor();
  const added = nextMarker(pattern.targets, { x: 1.5, y: 1.5 });
  return (
    <Part aria-label={say('markers')}>
      <Heading>{say('markers')}</Heading>
      {pattern.targets.length === 0 && <Quiet>{say('noMarkersYetChooseLayoutAbove')}</Quiet>}
      {pattern.targets.length > 0 && (
        <Quiet style={{ fontSize: 15 }}>{say('nameRightHomeBaseForward')}</Quiet>
      )}
      <ul style={{ margin: 0, padding: 0, listStyle: 'none' }}>
        {pattern.targets.map((target) => (
          <MarkerFields key={target.letter} target={target} />
        ))}
      </ul>
      <Ways>
        <Button isDisabled={!added} onPress={() => added && edit((now) => withTarget(now, added))}>
          <Plus size={17} aria-hidden /> {say('addMarker')}
        </Button>
      </Ways>
    </Part>
  );
}
