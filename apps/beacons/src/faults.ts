import { exponential, uniform, type Random } from '@orthokin/core/cue';

/** What can go wrong between devices and the app. */
export const FAULT_NAMES = ['jitter', 'loss', 'duplicates', 'reorder', 'flat', 'drop'] as const;
export type FaultName = (typeof FAULT_NAMES)[number];

const WAY_MS = 3;
const JITTER_MS = 18;
const LONGEST_JITTER_MS = 250;
const LOSS = 0.12;
const TWICE = 0.15;
const OVERTAKEN = 0.15;
const OVERTAKEN_MS = [120, 400] as const;

/** The air between a device and the app: late, lossy, doubling, as the faults ask. */
export class Air {
  constructor(
    private readonly faults: ReadonlySet<FaultName>,
    private readonly random: Random,
  ) {}

  /** How long a frame is on its way, ms. */
  delayMs(): number {
    if (!this.faults.has('jitter')) return WAY_MS;
    return WAY_MS + Math.min(LONGEST_JITTER_MS, exponential(this.random, JITTER_MS));
  }

  /** When each copy of a frame arrives, ms from now; none when it is lost. */
  arrivalsMs(): number[] {
    if (this.faults.has('loss') && this.random() < LOSS) return [];
    const copies = this.faults.has('duplicates') && this.random() < TWICE ? 2 : 1;
    return Array.from({ length: copies }, () => {
      const late = this.faults.has('reorder') && this.random() < OVERTAKEN;
      return this.delayMs() + (late ? uniform(this.random, ...OVERTAKEN_MS) : 0);
    });
  }
}
