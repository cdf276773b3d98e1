export {
  BLOCK_BOUNDS,
  BLOCK_KINDS,
  HELPER_ROLES,
  MOST_BLOCKS,
  MOST_PLANNED,
  OBJECTS,
  trainedBy,
  usualBlock,
  type Block,
  type BlockKind,
  type HelperRole,
  type PlayObject,
  type Trained,
} from './block.js';
export { halved } from './edit.js';
export { planFindings, type PlanFinding } from './findings.js';
export { fitted } from './fit.js';
export {
  rotation,
  sharesOf,
  type Rotated,
  type Round,
  type Share,
  type StationTurn,
} from './rotation.js';
export { placed, sharesOver, type PlacedBlock, type Session } from './session.js';
export { blocksFrom, TEMPLATES, type TemplateName } from './templates.js';
export {
  beginPlan,
  nowIn,
  paused,
  toBlock,
  withPresent,
  type PlanNow,
  type PlanRun,
} from './run.js';
