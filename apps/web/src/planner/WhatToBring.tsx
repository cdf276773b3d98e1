import type { Block } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { useClub } from '../api/club.js';
import { kitWords } from '../words/kit.js';
import { useKit } from './useKit.js';

/** Equipment and floor space a session needs. */
export function WhatToBring({
  blocks,
  athleteIds,
}: {
  blocks: readonly Block[];
  athleteIds: readonly string[];
}): ReactElement | null {
  const { unit } = useClub();
  const kit = useKit(blocks, athleteIds);
  if (!kit) return null;
  const { bring, floor } = kitWords(kit, unit);
  return bring + floor === '' ? null : (
    <p>
      {bring} {floor}
    </p>
  );
}
