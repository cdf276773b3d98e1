import type { ReactElement } from 'react';
import { useNewestPattern } from '../api/patterns.js';
import { BothSides } from '../parts/BothSides.js';
import { Failed } from '../parts/Notice.js';
import { Quiet } from '../parts/Text.js';
import { otherwisePattern } from '../words/pattern-sides.js';
import { say } from '../words/studio.js';
import { useEditor } from './state/editor.js';
import { useUnit } from './state/unit.js';

/** Somebody else saved the pattern meanwhile: shows both versions to choose from. */
export function OvertakenPattern({ openTheirs }: { openTheirs: () => void }): ReactElement {
  const { patternId, pattern, save, saving } = useEditor();
  const { unit } = useUnit();
  const { data: theirs, error, refetch } = useNewestPattern(patternId);
  if (error) return <Failed error={error} again={() => void refetch()} />;
  if (!theirs) return <Quiet>{say('readingTheirs')}</Quiet>;
  return (
    <BothSides
      title={say('overtaken', { version: theirs.version })}
      rows={otherwisePattern(pattern, theirs, unit)}
      isPending={saving}
      onMine={() => void save('afterNewest')}
      onTheirs={openTheirs}
    />
  );
}
