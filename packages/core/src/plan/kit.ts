import type { Pattern } from '../pattern/index.js';
import { OBJECTS, thoseIn, type Block, type BlockKind, type PlayObject } from './block.js';

/** Free floor round the outermost markers, so that nobody runs into anything, m. */
export const RUN_OFF_M = 1;

/** Floor, m. */
export interface Space {
  readonly acrossM: number;
  readonly deepM: number;
}

type Marked = Pick<Pattern, 'home' | 'targets'>;

/** The floor that a pattern needs with a free run-off round its markers, m. */
export function spaceNeeded({ home, targets }: Marked): Space {
  const spots = [{ at: { x: 0, y: 0 }, radiusM: home.radiusM }, ...targets];
  const span = (axis: 'x' | 'y'): number =>
    Math.max(...spots.map(({ at, radiusM }) => at[axis] + radiusM)) -
    Math.min(...spots.map(({ at, radiusM }) => at[axis] - radiusM));
  return { acrossM: span('x') + 2 * RUN_OFF_M, deepM: span('y') + 2 * RUN_OFF_M };
}

/** What is to be brought to a block, or to a session, and the floor it takes. */
export interface Kit {
  /** Cones or tape marks, home base among them. */
  readonly markers: number;
  /** Of each kind that is used, how many. */
  readonly objects: readonly { readonly object: PlayObject; readonly count: number }[];
  /** Devices that show or sound the cues. */
  readonly screens: number;
  /** Of each station, and how many of them beside each other; `null` where no pattern says. */
  readonly floor: (Space & { readonly stations: number }) | null;
  /** In the coach's own words, each once. */
  readonly besides: readonly string[];
}

/** Kinds that are done on a pattern's markers. */
const ON_MARKERS: readonly BlockKind[] = [
  'rehearse',
  'cued drill',
  'pattern with action',
  'freeze and look',
];
/** Kinds in which two share what is played with. */
const IN_PAIRS: readonly BlockKind[] = ['reaction game', 'play', 'game to a score'];

const most = (numbers: readonly number[]): number => Math.max(0, ...numbers);

const areaOf = ({ acrossM, deepM, stations }: NonNullable<Kit['floor']>): number =>
  acrossM * deepM * stations;

function objectsOf(block: Block, count: number, places: number): Kit['objects'] {
  if (block.object === 'none') return [];
  const needed = IN_PAIRS.includes(block.kind) ? Math.ceil(count / 2) : count;
  return [{ object: block.object, count: block.how === 'turns' ? places : needed }];
}

/**
 * What a block takes: at each station the markers of the pattern with most of them, what is played with
 * once a station (once a pair in games, once each in what all do together), a screen where cues are given.
 *
 * @param patternOf what somebody runs in this block, where it is known
 */
export function kitOfBlock(
  block: Block,
  athleteIds: readonly string[],
  patternOf: (athleteId: string) => Marked | undefined,
): Kit {
  const does = thoseIn(block, athleteIds);
  const places = block.how === 'turns' ? Math.min(block.stations, does.length) : 1;
  const patterns = ON_MARKERS.includes(block.kind) ? does.flatMap((id) => patternOf(id) ?? []) : [];
  const spaces = patterns.map(spaceNeeded);
  return {
    markers: places * most(patterns.map(({ targets }) => targets.length + 1)),
    objects: objectsOf(block, does.length, places),
    screens: block.kind === 'cued drill' ? places : 0,
    floor:
      spaces.length === 0
        ? null
        : {
            acrossM: most(spaces.map(({ acrossM }) => acrossM)),
            deepM: most(spaces.map(({ deepM }) => deepM)),
            stations: places,
          },
    besides: block.needs
      .split(',')
      .map((need) => need.trim())
      .filter((need) => need !== ''),
  };
}

/**
 * The patterns that a session is run on, each once, in the order in which they come.
 *
 * @param ownOf what somebody works on, where it is known
 */
export const patternsOf = (
  blocks: readonly Block[],
  athleteIds: readonly string[],
  ownOf: (athleteId: string) => string | undefined,
): string[] => [
  ...new Set(
    blocks
      .filter(({ kind }) => ON_MARKERS.includes(kind))
      .flatMap((block) =>
        thoseIn(block, athleteIds).flatMap((id) => block.patternId ?? ownOf(id) ?? []),
      ),
  ),
];

/** What a session takes: of each thing as many as the block that needs most of it, for blocks follow each other. */
export function kitOfAll(kits: readonly Kit[]): Kit {
  const [widest = null] = kits
    .flatMap(({ floor }) => floor ?? [])
    .sort((one, other) => areaOf(other) - areaOf(one));
  return {
    markers: most(kits.map(({ markers }) => markers)),
    objects: OBJECTS.flatMap((object) => {
      const count = most(
        kits.flatMap(({ objects }) =>
          objects.filter((one) => one.object === object).map((one) => one.count),
        ),
      );
      return count === 0 ? [] : [{ object, count }];
    }),
    screens: most(kits.map(({ screens }) => screens)),
    floor: widest,
    besides: [...new Set(kits.flatMap(({ besides }) => besides))],
  };
}
