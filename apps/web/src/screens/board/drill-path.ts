import type { TimedNews } from '@orthokin/contract/live-messages';

/** The floor's address for an athlete to be timed, on the block's pattern or their own. */
export const drillPath = ({ athleteId, patternId }: TimedNews): string =>
  `/floor/${athleteId}${patternId === null ? '' : `?pattern=${patternId}`}`;
