import type { Pattern } from '../pattern/index.js';
import { OBJECTS, thoseIn, type Block, type BlockKind, type PlayObject } from './block.js';

/** Free floor around the outermost markers, m. */
export const RUN_OFF_M = 1;

/** An area of floor, m. */
export interface Space {
  readonly acrossM: number;
  readonly deepM: number;
}

type Marked = Pick<Pattern, 'home' | 'targets'>;

/** The floor a pattern needs, including run-off, m. */
export function spaceNeeded({ home, targets }: Marked): Space {
  const spots = [{ at: { x: 0, y: 0 }, radiusM: home.radiusM }, ...targets];
  const span = (axis: 'x' | 'y'): number =>
    Math.max(...spots.map(({ at, radiusM }) => at[axis] + radiusM)) -
    Math.min(...spots.map(({ at, radiusM }) => at[axis] - radiusM));
  return { acrossM: span('x') + 2 * RUN_OFF_M, deepM: span('y') + 2 * RUN_OFF_M };
}

/** The equipment and floor a block or a session needs. */
export interface Kit {
  /** Cones or tape marks, home base included. */
  readonly markers: number;
  /** Number of each kind of object. */
  readonly objects: readonly { readonly object: PlayObject; readonly count: number }[];
  /** Devices that present cues. */
  readonly screens: number;
  /** Floor per station, and the number of stations side by side; `null` without a pattern. */
  readonly floor: (Space & { readonly stations: number }) | null;
  /** Other things, in the coach's words, without duplicates. */
  readonly besides: readonly string[];
}

/** Kinds of blocks that use a pattern's markers. */
const ON_MARKERS: readonly BlockKind[] = [
  'rehearse',
  'cued drill',
  'pattern with action',
  'freeze and look',
];
/** Kinds of blocks in which two share an object. */
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
 * What a block needs: at each station the markers of the largest pattern; objects per station (per pair in games, per
 * person in what all do together); a screen if cues are given.
 * @param patternOf the pattern somebody runs in this block, if known
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
 * The patterns run in a session, without duplicates, in order.
 * @param ownOf the pattern somebody is working on, if known
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

/** What a session needs: the maximum over its blocks, since they follow each other. */
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
