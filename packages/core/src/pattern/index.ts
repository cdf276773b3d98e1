export { LAYOUTS, layoutTargets, type Layout, type LayoutSize } from './layout.js';
export { mirrorPattern, rungOf, targetOf, type HomeBase, type Pattern } from './pattern.js';
export { GATED_DURATIONS, type GatedDuration, type Rung } from './rung.js';
