import type { PatternBody } from '@orthokin/contract';
import { fittingRungs } from '@orthokin/core/progress';
import type { Pattern } from '@orthokin/core/pattern';
import { createContext, useContext, useEffect, useState } from 'react';
import { useSavePattern } from '../../api/patterns.js';
import { draftOf, dropDraft, keepDraft } from '../../device/drafts.js';
import { useHistory } from '../../parts/history.js';

/** The studio's editor, shared by all its parts. */
export interface Editor {
  readonly patternId: string;
  readonly pattern: Pattern;
  /** The version saved last; 0 for a new pattern. */
  readonly version: number;
  readonly unsaved: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Applies a change; changes of one named gesture are undone as one. A stable function. */
  readonly edit: (change: (pattern: Pattern) => Pattern, gesture?: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly save: (as?: 'afterNewest') => Promise<boolean>;
  /** Goes back to the saved version. */
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

/** Delay before a draft is stored; a drag makes sixty changes a second. */
const DRAFT_AFTER_MS = 250;

/** Edits a pattern, storing a draft on this device with each change until it is saved. */
export function usePatternEditor(patternId: string, loaded: Saved): Editor {
  const [draft] = useState(() => draftOf(patternId));
  // A draft keeps the version it is based on, so that versions saved since are noticed.
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
        // The mutation reports the error; the draft is kept.
        return false;
      }
    },
    saving: saving.isPending,
    saveError: saving.error,
  };
}
