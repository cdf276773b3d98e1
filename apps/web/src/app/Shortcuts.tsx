import { lazy, Suspense, useState, type ReactElement } from 'react';
import { IconButton } from '../parts/IconButton.js';
import { say } from '../words/app.js';

/** Loaded on demand: every page has the button, but few visitors press it. */
const ShortcutSheet = lazy(async () => ({
  default: (await import('./ShortcutSheet.js')).ShortcutSheet,
}));

/** The button that opens the sheet of shortcuts. */
export function Shortcuts({ onWalk }: { onWalk: () => void }): ReactElement {
  const [open, setOpen] = useState(false);
  return (
    <>
      <IconButton
        aria-label={say('keys')}
        aria-haspopup="dialog"
        aria-expanded={open}
        onPress={() => setOpen(true)}
      >
        ?
      </IconButton>
      {open && (
        <Suspense fallback={null}>
          <ShortcutSheet onClose={() => setOpen(false)} onWalk={onWalk} />
        </Suspense>
      )}
    </>
  );
}
