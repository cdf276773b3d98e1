import { mean } from '../numeric/index.js';
import { AGE_BANDS, type AgeBand } from '../people/index.js';
import { thoseIn, trainedBy, type Block } from './block.js';
import { overTime, type PlacedBlock, type Session } from './session.js';

/** A problem of a session, with the figures behind it. */
export type PlanFinding =
  | { readonly finding: 'no warm-up' | 'no cool-down' | 'nobody' }
  /** Reaction is trained when legs are tired. */
  | { readonly finding: 'reaction after conditioning'; readonly blockId: string }
  /** Less rest than the kind of work asks, as parts of rest per part of work. */
  | {
      readonly finding: 'short rest';
      readonly blockId: string;
      readonly ratio: number;
      readonly aim: number;
    }
  | {
      readonly finding: 'waits more than works';
      readonly blockId: string;
      readonly worksS: number;
      readonly waitsS: number;
    }
  /** Attendees without a part in a block. */
  | {
      readonly finding: 'nothing to do';
      readonly blockId: string;
      readonly athleteIds: readonly string[];
    }
  /** Children play with the match object before a slower one. */
  | {
      readonly finding: 'match object for the young';
      readonly blockId: string;
      readonly athleteIds: readonly string[];
    }
  | { readonly finding: 'too long'; readonly overS: number };

/** Rest per part of work: quality for reaction, match conditioning for play (handbook 4). */
const REST_AIM = { reaction: 2, play: 1 } as const;

const restAim = ({ kind }: Block): number | null => {
  const trained = trainedBy(kind);
  return trained === 'reaction' || trained === 'play' ? REST_AIM[trained] : null;
};

function ofBlock({ block, shares }: PlacedBlock): PlanFinding[] {
  if (block.how === 'together') return [];
  const findings: PlanFinding[] = [];
  const [aim, ratio, blockId] = [restAim(block), block.restS / block.workS, block.id];
  if (aim !== null && block.sets > 1 && ratio < aim)
    findings.push({ finding: 'short rest', blockId, ratio, aim });
  // The rest after each set is intended; only waiting beyond it counts.
  const waits = shares.map(({ works, waitsS }) => waitsS - works * block.restS);
  const waitsS = waits.length > 0 ? Math.round(mean(waits)) : 0;
  const worksS = block.sets * block.workS;
  if (waitsS > worksS) findings.push({ finding: 'waits more than works', blockId, worksS, waitsS });
  return findings;
}

function leftOut({ block }: PlacedBlock, athleteIds: readonly string[]): PlanFinding[] {
  const does = thoseIn(block, athleteIds);
  const idle = athleteIds.filter((id) => !does.includes(id));
  return idle.length === 0
    ? []
    : [{ finding: 'nothing to do', blockId: block.id, athleteIds: idle }];
}

/** Ages of the attendees, if known. */
interface Aged {
  readonly ageBandOf?: (athleteId: string) => AgeBand | undefined;
}

const [YOUNGEST] = AGE_BANDS;

function tooFast(
  { block }: PlacedBlock,
  { athleteIds, ageBandOf }: Pick<Session, 'athleteIds'> & Aged,
): PlanFinding[] {
  const young = thoseIn(block, athleteIds).filter((id) => ageBandOf?.(id) === YOUNGEST);
  return block.object !== 'match' || young.length === 0
    ? []
    : [{ finding: 'match object for the young', blockId: block.id, athleteIds: young }];
}

/** Problems of a session to consider before it is run (handbook 8), in the order of the session. */
export function planFindings(
  session: Pick<Session, 'minutes' | 'athleteIds'> & Aged,
  blocks: readonly PlacedBlock[],
): PlanFinding[] {
  const trained = blocks.map(({ block }) => trainedBy(block.kind));
  const conditioning = trained.indexOf('conditioning');
  const late = blocks.filter(
    (_, i) => conditioning >= 0 && i > conditioning && trained[i] === 'reaction',
  );
  const overS = overTime(session, blocks);
  return [
    ...(session.athleteIds.length === 0 ? [{ finding: 'nobody' } as const] : []),
    ...(blocks.length > 0 && !trained.includes('warming')
      ? [{ finding: 'no warm-up' } as const]
      : []),
    ...late.map(
      ({ block }) => ({ finding: 'reaction after conditioning', blockId: block.id }) as const,
    ),
    ...blocks.flatMap((one) => [
      ...ofBlock(one),
      ...leftOut(one, session.athleteIds),
      ...tooFast(one, session),
    ]),
    ...(blocks.length > 0 && !trained.includes('calming')
      ? [{ finding: 'no cool-down' } as const]
      : []),
    ...(overS > 0 ? [{ finding: 'too long', overS } as const] : []),
  ];
}
