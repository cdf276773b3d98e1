import type { ReactElement } from 'react';
import { BuildPart } from './BuildPart.js';
import { CourtPart } from './CourtPart.js';
import { LayoutPart } from './LayoutPart.js';
import { MarkersPart } from './MarkersPart.js';
import { WordsPart } from './WordsPart.js';

/** The floor as a whole: court, layout, markers, whom it is for. */
export const FloorPanel = (): ReactElement => (
  <>
    <LayoutPart />
    <MarkersPart />
    <CourtPart />
    <BuildPart />
    <WordsPart />
  </>
);
