import type { PatternBody } from '@orthokin/contract';
import { fittingRungs } from '@orthokin/core/progress';
import type { Pattern } from '@orthokin/core/pattern';
import { createContext, useContext, useEffect, useState } from 'react';
import { useSavePattern } from '../../api/patterns.js';
import { draftOf, dropDraft, keepDraft } from '../../device/drafts.js';
import { useHistory } from '../../parts/history.js';

/** What every part of the studio works with. */
export interface Editor {
  readonly patternId: string;
  readonly pattern: Pattern;
  /** The version that was saved last; 0 before any. */
  readonly version: number;
  readonly unsaved: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** One change; changes of one named gesture are taken back as one. Stays the same function. */
  readonly edit: (change: (pattern: Pattern) => Pattern, gesture?: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly save: (as?: 'afterNewest') => Promise<boolean>;
  /** Back to what was saved last. */
  readonly discard: () => void;
  readonly saving: boolean;
  readonly saveError: Error | null;
}

export const EditorContext = createContext<Editor | null>(null);

export function useEditor(): Editor {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error('useEditor needs an EditorContext above it.');
  return editor;
}

interface Saved {
  readonly version: number;
  readonly pattern: Pattern;
}

/** How long after a change the draft is kept; a drag makes sixty changes a second. */
const DRAFT_AFTER_MS = 250;

/** A pattern's draft is kept on this device with every change, until it is saved. */
export function usePatternEditor(patternId: string, loaded: Saved): Editor {
  const [draft] = useState(() => draftOf(patternId));
  // A draft goes on from the version it was made from: what was saved since is not passed over.
  const [saved, setSaved] = useState<Saved>(() => ({
    version: draft?.version ?? loaded.version,
    pattern: loaded.pattern,
  }));
  const history = useHistory(() => draft?.pattern ?? loaded.pattern);
  const saving = useSavePattern();
  const { present, edit, canUndo, canRedo, undo, redo } = history;
  const unsaved = saved.version === 0 || present !== saved.pattern;

  useEffect(() => {
    if (!unsaved) {
      dropDraft(patternId);
      return;
    }
    const keep = () => keepDraft(patternId, { version: saved.version, pattern: present });
    const timer = setTimeout(keep, DRAFT_AFTER_MS);
    window.addEventListener('pagehide', keep);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', keep);
    };
  }, [patternId, present, saved, unsaved]);

  return {
    patternId,
    pattern: present,
    version: saved.version,
    unsaved,
    ...{ canUndo, canRedo, edit, undo, redo },
    discard: () => {
      dropDraft(patternId);
      edit(() => saved.pattern);
    },
    save: async (as) => {
      const body = { ...present, rungs: fittingRungs(present) };
      try {
        const { version } = await saving.mutateAsync({
          patternId,
          version: as ?? saved.version + 1,
          body: body as PatternBody,
        });
        dropDraft(patternId);
        setSaved({ version, pattern: present });
        return true;
      } catch {
        // The mutation holds the error; the draft stays.
        return false;
      }
    },
    saving: saving.isPending,
    saveError: saving.error,
  };
}
