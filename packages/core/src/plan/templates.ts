import { usualBlock, type Block, type BlockKind } from './block.js';

type Part = readonly [kind: BlockKind, change?: Partial<Block>];

/** Templates of sessions; the web app describes them. */
const TEMPLATES = {
  squad: [
    ['warm-up'],
    ['rehearse'],
    ['reaction game', { object: 'balloon' }],
    ['cued drill', { stations: 2, helpers: ['calls', 'feeds'] }],
    [
      'pattern with action',
      { stations: 2, object: 'soft', helpers: ['calls', 'feeds', 'collects'] },
    ],
    ['play', { object: 'soft' }],
    ['cool-down'],
  ],
  lesson: [
    ['warm-up', { minutes: 6 }],
    ['readiness checks'],
    ['rehearse'],
    ['cued drill', { sets: 4 }],
    ['freeze and look'],
    ['pattern with action', { sets: 4, helpers: [] }],
    ['cool-down'],
  ],
  solo: [
    ['warm-up', { minutes: 5 }],
    ['rehearse', { minutes: 5 }],
    ['cued drill', { sets: 4, helpers: [] }],
    ['challenge', { sets: 2, helpers: [] }],
    ['cool-down'],
  ],
  return: [
    ['warm-up', { minutes: 10 }],
    ['readiness checks', { minutes: 6 }],
    ['rehearse', { minutes: 10 }],
    ['cued drill', { sets: 2, workS: 20, restS: 80 }],
    ['cool-down', { minutes: 8 }],
  ],
  'match day': [
    ['warm-up', { minutes: 8 }],
    ['reaction game', { minutes: 4 }],
    ['cued drill', { sets: 2, workS: 15, restS: 60 }],
    ['pattern with action', { sets: 1, workS: 20, restS: 60 }],
  ],
} as const satisfies Readonly<Record<string, readonly Part[]>>;
/** One of them. */
export type TemplateName = keyof typeof TEMPLATES;

/** The names, in the order they are offered. */
export const TEMPLATE_NAMES = Object.keys(TEMPLATES) as TemplateName[];

/** A template's blocks with new ids. */
export const blocksFrom = (name: TemplateName, newId: () => string): Block[] =>
  TEMPLATES[name].map(([kind, change = {}]: Part) => ({ ...usualBlock(newId(), kind), ...change }));
