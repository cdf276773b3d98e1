import type { PositionName } from '@orthokin/core/pattern';

export const POSITION_WORDS: Readonly<Record<PositionName, string>> = {
  stance: 'Stance',
  split: 'Split-step',
  load: 'Load',
  action: 'Action',
  recovery: 'Recovery',
};
