export const position = {
  stance: 'Stance',
  splitStep: 'Split-step',
  load: 'Load',
  action: 'Action',
  recovery: 'Recovery',
} as const;
