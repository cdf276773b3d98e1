import type { ReactElement } from 'react';
import { TextField } from '../../parts/form/TextField.js';
import { useEditor } from '../state/editor.js';
import { Part, Row } from './Part.js';
import { say } from '../../words/studio.js';

/** What the pattern is, in words. */
export function WordsPart(): ReactElement {
  const { pattern, edit } = useEditor();
  return (
    <Part aria-label={say('aboutPattern')}>
      <Row $columns="1fr 2fr">
        <TextField
          label={say('sport')}
          maxLength={40}
          value={pattern.sport}
          onChange={(sport) => edit((now) => ({ ...now, sport }), 'sport')}
        />
        <TextField
          label={say('tagsCommasBetween')}
          maxLength={200}
          value={pattern.tags.join(', ')}
          onChange={(text) => {
            const tags = [...new Set(text.split(',').map((tag) => tag.trim().slice(0, 30)))];
            edit((now) => ({ ...now, tags: tags.filter(Boolean).slice(0, 12) }), 'tags');
          }}
        />
      </Row>
      <div style={{ marginTop: 8 }}>
        <TextField
          label={say('notes')}
          rows={3}
          maxLength={2000}
          value={pattern.notes}
          onChange={(notes) => edit((now) => ({ ...now, notes }), 'notes')}
        />
      </div>
    </Part>
  );
}
