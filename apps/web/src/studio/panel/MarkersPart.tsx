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
import { Part } from './Part.js';

const MarkerRow = styled.li`
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr) 86px 86px 40px;
  gap: 4px 8px;
  align-items: center;
  padding: 7px 0;
  border-top: 1px solid ${colour('rule')};
  .more {
    grid-column: 2 / -1;
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 8px;
  }
  small {
    grid-column: 2 / -1;
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
        aria-label={`Shape, colour and kind of ${target.letter}`}
        onClick={() => setMore(!more)}
        style={{ padding: 0, border: 0, background: 'none', cursor: 'pointer' }}
      >
        <Marker target={target} size={28} />
      </button>
      <TextField
        label={`${named}name`}
        hideLabel
        maxLength={40}
        value={target.name}
        onChange={(name) => change({ name })}
      />
      <LengthField
        label={`${named}right of home`}
        hideLabel
        unit={unit}
        value={target.at.x}
        onChange={(x) => change({ at: { ...target.at, x } })}
      />
      <LengthField
        label={`${named}forward of home`}
        hideLabel
        unit={unit}
        value={target.at.y}
        onChange={(y) => change({ at: { ...target.at, y } })}
      />
      <IconButton
        aria-label={`Take marker ${target.letter} away`}
        onPress={() => edit((now) => withoutTarget(now, target.letter))}
      >
        <Trash2 size={17} />
      </IconButton>
      <small>{fromHome(target, unit)} from home base</small>
      {more && (
        <div className="more">
          <SelectField
            label="Shape"
            value={target.shape}
            options={MARKER_SHAPES}
            onChange={(shape) => change({ shape })}
          />
          <SelectField
            label="Colour"
            value={target.colour}
            options={MARKER_COLOURS}
            onChange={(colour) => change({ colour })}
          />
          <SelectField
            label="Kind"
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
    <Part aria-label="Markers">
      <Heading>Markers</Heading>
      {pattern.targets.length === 0 && (
        <Quiet>No markers yet: choose a layout above, or add one.</Quiet>
      )}
      {pattern.targets.length > 0 && (
        <Quiet style={{ fontSize: 15 }}>Name, right of home base, forward of it.</Quiet>
      )}
      <ul style={{ margin: 0, padding: 0, listStyle: 'none' }}>
        {pattern.targets.map((target) => (
          <MarkerFields key={target.letter} target={target} />
        ))}
      </ul>
      <div className="ways">
        <Button isDisabled={!added} onPress={() => added && edit((now) => withTarget(now, added))}>
          <Plus size={17} aria-hidden /> Add a marker
        </Button>
      </div>
    </Part>
  );
}
