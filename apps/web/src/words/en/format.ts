export const format = {
  today: 'today',
  yesterday: 'yesterday',
} as const;
