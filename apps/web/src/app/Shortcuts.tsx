import { lazy, Suspense, useState, type ReactElement } from 'react';
import { IconButton } from '../parts/IconButton.js';
import { say } from '../words/app.js';

/** Every place has the question mark, few visits open it: the sheet comes when it is pressed. */
const ShortcutSheet = lazy(async () => ({
  default: (await import('./ShortcutSheet.js')).ShortcutSheet,
}));

/** The question mark that opens the sheet of shortcuts. */
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
