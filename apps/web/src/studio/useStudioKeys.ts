import { changeLeg, removePlacement } from '@orthokin/core/pattern';
import { useEffect, useRef } from 'react';
import type { Editor } from './state/editor.js';
import type { Player } from './score/player.js';
import type { Selection } from './state/selection.js';

const isTyped = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.matches('input, textarea, [role=dialog] *');

/** The studio's keys, which work everywhere except in fields. */
export function useStudioKeys(editor: Editor, selection: Selection, player: Player): void {
  const current = useRef({ editor, selection });
  useEffect(() => {
    current.current = { editor, selection };
  });
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const { editor, selection } = current.current;
      const command = event.ctrlKey || event.metaKey;
      const { letter, step } = selection;
      const act = (() => {
        if (command && event.code === 'KeyS') return () => void (editor.unsaved && editor.save());
        if (isTyped(event.target) || event.altKey) return null;
        if (command && event.code === 'KeyZ') return event.shiftKey ? editor.redo : editor.undo;
        if (command && event.code === 'KeyY') return editor.redo;
        if (command) return null;
        if (event.code === 'KeyP' && letter !== null) return () => void player.toggle();
        if (event.key === 'Escape' && step !== null) return () => selection.pick(null);
        if (
          (event.key === 'Delete' || event.key === 'Backspace') &&
          letter !== null &&
          step !== null
        )
          return () => {
            editor.edit((now) => changeLeg(now, letter, (leg) => removePlacement(leg, step)));
            selection.pick(null);
          };
        return null;
      })();
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [player]);
}
