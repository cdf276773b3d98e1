import type { PatternBody } from '@orthokin/contract';
import { patternToFile } from '@orthokin/contract/pattern-file';
import { EllipsisVertical } from 'lucide-react';
import { type ReactElement } from 'react';
import { Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { useArchive } from '../api/patterns.js';
import { IconButton } from '../parts/IconButton.js';
import { colour } from '../parts/tokens.js';
import { keepDraft } from '../device/drafts.js';
import { useEditor } from './state/editor.js';
import { download, fileName } from '../parts/download.js';
import { downloadDrawings } from './drawing/export-drawing.js';
import { say } from '../words/studio.js';

import { useSelection } from './state/selection.js';

const Items = styled(Popover)`
  border: 1.5px solid ${colour('ink')};
  border-radius: 4px;
  background: ${colour('raised')};
  color: ${colour('ink')};
  .react-aria-Menu {
    padding: 5px;
    outline: none;
  }
  .react-aria-MenuItem {
    padding: 9px 14px;
    border-radius: 3px;
    outline: none;
    cursor: pointer;
    color: inherit;
    text-decoration: none;
  }
  .react-aria-MenuItem[data-focused] {
    background: ${colour('ink')};
    color: ${colour('paper')};
  }
`;

/** The drawings that can be exported, with their places on the page. */
const FLOOR = { what: 'Floor', selector: '#studio-floor' };
const OF_A_LEG = [
  { what: 'Step score', selector: '#studio-score' },
  { what: 'Positions', selector: '[aria-label=Positions] svg[data-still]' },
];

/** Further actions: print, export, copy, archive. */
export function StudioMenu(): ReactElement {
  const { pattern, patternId, version } = useEditor();
  const { letter } = useSelection();
  const navigate = useNavigate();
  const archive = useArchive();
  const about = letter === null ? pattern.name : `${pattern.name} ${letter}`;
  const drawings = letter === null ? [FLOOR] : [FLOOR, ...OF_A_LEG];
  const duplicate = () => {
    const id = v7();
    keepDraft(id, {
      version: 0,
      pattern: { ...pattern, name: say('patternCopy', { pattern: pattern.name }) },
    });
    void navigate(`/patterns/${id}`);
  };
  const acts: Readonly<Record<string, () => void>> = {
    'set-out': () => void navigate(`/patterns/${patternId}/set-out`),
    allCards: () => void navigate(`/patterns/${patternId}/cards`),
    cards: () => void navigate(`/patterns/${patternId}/cards/${letter ?? ''}`),
    json: () =>
      download(
        fileName(pattern.name, 'json'),
        patternToFile(pattern as PatternBody),
        'application/json',
      ),
    duplicate,
    archive: () =>
      archive.mutate(
        { patternId, archived: true },
        { onSuccess: () => void navigate('/patterns') },
      ),
  };
  return (
    <MenuTrigger>
      <IconButton aria-label={say('moreThisPattern')}>
        <EllipsisVertical size={21} />
      </IconButton>
      <Items placement="bottom end">
        <Menu onAction={(key) => acts[String(key)]?.()}>
          <MenuItem id="set-out">{say('setOutSheetPrint')}</MenuItem>
          <MenuItem id="allCards">{say('allPositionCardsPrint')}</MenuItem>
          {letter !== null && <MenuItem id="cards">{say('positionCardsPrint')}</MenuItem>}
          <MenuItem id="json">{say('patternFileJson')}</MenuItem>
          {drawings.flatMap(({ what, selector }) =>
            (['svg', 'png'] as const).map((kind) => (
              <MenuItem
                key={`${what} ${kind}`}
                onAction={() => void downloadDrawings(selector, `${about} ${what}`, kind)}
              >
                {say('whatKind', { what, kind: kind.toUpperCase() })}
              </MenuItem>
            )),
          )}
          <MenuItem id="duplicate">{say('duplicate')}</MenuItem>
          {version > 0 && <MenuItem id="archive">{say('archive')}</MenuItem>}
        </Menu>
      </Items>
    </MenuTrigger>
  );
}
