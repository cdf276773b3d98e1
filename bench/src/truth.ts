import { parseArgs } from 'node:util';
import { MAX_SEED, seededRandom } from '@orthokin/core/cue';
import { isMissed, lineOf, type Finding } from './truth/aims.js';
import { falseAlarms, finds } from './truth/change.js';
import type { Made } from './truth/courses.js';
import { fades, leans, pages, stuck } from './truth/unasked.js';

const HELP = `How often what the app says is false, and how often it finds what is there: simulated
athletes who changed and who did not, through the same functions the app calls. Ends with 1 when an
aim is missed by more than the luck of the draw.

  npm run truth -- [--seed N] [--athletes N] [--form S,…] [--days N,…] [--sets N,…]
                   [--scatter S] [--change S,…] [--lean-form P] [--pages N]

  --seed        of every draw (default 1)
  --athletes    simulated for each line (default 1000)
  --form        sd of a day's own form, shares of the median (default 0,0.01,0.02,0.04)
  --days        training days (default 2,3,4,8,16)
  --sets        sets a day (default 1,2,4)
  --scatter     sd of sets within a day, a share of the median (default 0.02)
  --change      true changes that are to be found, shares (default 0.06,0.1)
  --lean-form   sd of a day's own lean to a side, percent (default 1.5)
  --pages       whole squad pages for each line (default 400)`;

const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '1' },
    athletes: { type: 'string', default: '1000' },
    form: { type: 'string', default: '0,0.01,0.02,0.04' },
    days: { type: 'string', default: '2,3,4,8,16' },
    sets: { type: 'string', default: '1,2,4' },
    scatter: { type: 'string', default: '0.02' },
    change: { type: 'string', default: '0.06,0.1' },
    'lean-form': { type: 'string', default: '1.5' },
    pages: { type: 'string', default: '400' },
    help: { type: 'boolean', default: false },
  },
});

/** Numbers of an option, each between two bounds; ends the run with a clear word otherwise. */
function numbers(name: keyof typeof values, least: number, most: number): number[] {
  return String(values[name])
    .split(',')
    .map((given) => {
      const number = Number(given);
      if (given.trim() !== '' && number >= least && number <= most) return number;
      console.error(`--${name}: given ${given}, allowed numbers from ${least} to ${most}.`);
      process.exit(2);
    });
}

if (values.help) {
  console.log(HELP);
  process.exit(0);
}

const one = (name: keyof typeof values, least: number, most: number) =>
  numbers(name, least, most)[0] ?? least;
const random = seededRandom(one('seed', 0, MAX_SEED));
const athletes = one('athletes', 40, 1e6);
const made: Made = {
  ...{ days: 12, setsADay: 2, form: 0.02, scatter: one('scatter', 0, 0.5), change: 0 },
  ...{ leanForm: one('lean-form', 0, 50), leanScatter: 3, lean: 0, newLean: 0 },
};

const all: Finding[] = [];
function tell(title: string, findings: readonly Finding[]): void {
  console.log(`\n${title}`);
  for (const finding of findings) console.log(lineOf(finding));
  all.push(...findings);
}

const forms = numbers('form', 0, 0.2);
const days = numbers('days', 2, 60);
const setsADay = numbers('sets', 1, 10);
const grid = forms.flatMap((form) =>
  days.flatMap((d) => setsADay.map((sets): Made => ({ ...made, form, days: d, setsADay: sets }))),
);

for (const withSquad of [false, true])
  tell(
    `Is it better? Athletes who did not change${withSquad ? ', in a squad whose day form is known' : ''}`,
    grid.flatMap((each) => falseAlarms(each, athletes, withSquad, random)),
  );
tell(
  'Is it better? Athletes who did, three days a side',
  numbers('change', 0, 0.5).flatMap((change) =>
    grid
      .filter((each) => each.days >= 8 && each.setsADay > 1)
      .flatMap((each) => finds({ ...each, change: -change }, athletes, true, random)),
  ),
);
tell(
  'Sides',
  [8, 12, 16].flatMap((d) => leans({ ...made, days: d }, athletes, random)),
);
tell(
  'Fades within a set',
  [8, 12, 20, 30].flatMap((reps) => fades(reps, athletes, random)),
);
tell(
  'Held on a rung',
  [4, 8].flatMap((d) =>
    [1, 2, 4].flatMap((sets) => stuck({ ...made, days: d, setsADay: sets }, athletes, random)),
  ),
);
tell(
  'Whole pages',
  [0.02, 0.04].flatMap((form) =>
    [8, 16].flatMap((d) => pages({ ...made, form, days: d }, one('pages', 20, 1e5), random)),
  ),
);

const missed = all.filter(isMissed).length;
console.log(`\n${all.length} findings, ${missed} beyond their aim.`);
process.exitCode = missed > 0 ? 1 : 0;
