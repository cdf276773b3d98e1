import type { PatternBody } from '@orthokin/contract';
import { patternToFile } from '@orthokin/contract/pattern-file';
import { EllipsisVertical } from 'lucide-react';
import { type ReactElement } from 'react';
import { Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { useArchive } from '../club/queries.js';
import { IconButton } from '../parts/IconButton.js';
import { colour } from '../parts/tokens.js';
import { keepDraft } from '../log/draft.js';
import { useEditor } from './state/editor.js';
import { download, drawingAsPng, drawingAsSvg, fileName } from './drawing/export-drawing.js';

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

const drawn = (id: string): SVGSVGElement | null =>
  document.querySelector<SVGSVGElement>(`svg#${id}`);

/** What else can be done with a pattern: print, files, copies, putting it aside. */
export function StudioMenu(): ReactElement {
  const { pattern, patternId, version } = useEditor();
  const { letter } = useSelection();
  const navigate = useNavigate();
  const archive = useArchive();
  const about = letter === null ? pattern.name : `${pattern.name} ${letter}`;
  const floor = () => drawn('studio-floor');
  const score = () => drawn('studio-score');
  const duplicate = () => {
    const id = v7();
    keepDraft(id, { version: 0, pattern: { ...pattern, name: `${pattern.name}, copy` } });
    void navigate(`/patterns/${id}`);
  };
  const acts: Readonly<Record<string, () => void>> = {
    'set-out': () => void navigate(`/patterns/${patternId}/set-out`),
    cards: () => void navigate(`/patterns/${patternId}/cards/${letter ?? ''}`),
    json: () =>
      download(
        fileName(pattern.name, 'json'),
        patternToFile(pattern as PatternBody),
        'application/json',
      ),
    svg: () => {
      const svg = floor();
      if (svg) download(fileName(about, 'svg'), drawingAsSvg(svg), 'image/svg+xml');
    },
    png: () => {
      const svg = floor();
      if (svg) void drawingAsPng(svg).then((png) => download(fileName(about, 'png'), png));
    },
    'score-svg': () => {
      const svg = score();
      if (svg) download(fileName(`${about} score`, 'svg'), drawingAsSvg(svg), 'image/svg+xml');
    },
    'score-png': () => {
      const svg = score();
      if (svg)
        void drawingAsPng(svg).then((png) => download(fileName(`${about} score`, 'png'), png));
    },
    duplicate,
    archive: () =>
      archive.mutate(
        { patternId, archived: true },
        { onSuccess: () => void navigate('/patterns') },
      ),
  };
  return (
    <MenuTrigger>
      <IconButton aria-label="More with this pattern">
        <EllipsisVertical size={21} />
      </IconButton>
      <Items placement="bottom end">
        <Menu onAction={(key) => acts[String(key)]?.()}>
          <MenuItem id="set-out">Set-out sheet, to print</MenuItem>
          {letter !== null && <MenuItem id="cards">Position cards, to print</MenuItem>}
          <MenuItem id="json">Pattern as a file (JSON)</MenuItem>
          <MenuItem id="svg">Floor as SVG</MenuItem>
          <MenuItem id="png">Floor as PNG</MenuItem>
          {letter !== null && <MenuItem id="score-svg">Step score as SVG</MenuItem>}
          {letter !== null && <MenuItem id="score-png">Step score as PNG</MenuItem>}
          <MenuItem id="duplicate">Duplicate</MenuItem>
          {version > 0 && <MenuItem id="archive">Archive</MenuItem>}
        </Menu>
      </Items>
    </MenuTrigger>
  );
}
