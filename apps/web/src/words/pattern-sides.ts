import { COURTS, lengthWords, type LengthUnit, type Point } from '@orthokin/core/floor';
import { legOf, targetOf, type Pattern } from '@orthokin/core/pattern';
import { homeWords } from './court.js';
import { commaList } from './format.js';
import { patternSides as en } from './en/pattern-sides.js';
import { speaker } from './say.js';

const say = speaker(en);

interface Row {
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The differences between two people's versions of a pattern, as each has them. */
export function otherwisePattern(mine: Pattern, theirs: Pattern, unit: LengthUnit): Row[] {
  const place = ({ x, y }: Point): string =>
    say('place', {
      ...{ right: lengthWords(Math.abs(x), unit), side: x < 0 ? 'left' : 'right' },
      ...{ forward: lengthWords(Math.abs(y), unit), way: y < 0 ? 'behind' : 'ahead' },
    });
  const readings: readonly (readonly [what: string, read: (pattern: Pattern) => string])[] = [
    [say('name'), ({ name }) => name],
    [say('hand'), ({ hand }) => say('handed', { hand })],
    [say('court'), ({ court }) => COURTS[court].name],
    [say('home'), ({ court, sizeM, home }) => homeWords(court, sizeM, home.onCourt, unit)],
    [say('targets'), ({ targets }) => commaList(targets.map(({ letter }) => letter))],
    [say('rungs'), ({ rungs }) => commaList(rungs.map(({ name }) => name))],
    [say('notes'), ({ notes }) => notes || say('none')],
  ];
  const rows = readings.map(([what, read]) => ({ what, mine: read(mine), theirs: read(theirs) }));
  const both = mine.targets
    .map(({ letter }) => letter)
    .filter((letter) => targetOf(theirs, letter) !== undefined);
  for (const letter of both) {
    const [at, theirAt] = [targetOf(mine, letter)?.at, targetOf(theirs, letter)?.at];
    if (at && theirAt)
      rows.push({ what: say('marker', { letter }), mine: place(at), theirs: place(theirAt) });
    const [leg, theirLeg] = [legOf(mine, letter), legOf(theirs, letter)];
    if (same(leg, theirLeg)) continue;
    const steps = (of: typeof leg) => say('steps', { n: of?.placements.length ?? 0 });
    const isSaid = steps(leg) !== steps(theirLeg);
    rows.push({
      what: say('feet', { letter }),
      mine: isSaid ? steps(leg) : say('yoursOtherwise'),
      theirs: isSaid ? steps(theirLeg) : say('theirsOtherwise'),
    });
  }
  const differing = rows.filter((row) => row.mine !== row.theirs);
  // Parts too detailed to describe briefly, such as a rung's limits.
  const inside = {
    what: say('inside'),
    mine: say('yoursOtherwise'),
    theirs: say('theirsOtherwise'),
  };
  return differing.length > 0 ? differing : [inside];
}
