import type { Pattern } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { BodyOverlay } from '../body/BodyOverlay.js';
import type { BodyWork } from '../body/useBody.js';
import { DrawOverlay } from '../draw/DrawOverlay.js';
import type { DrawWork } from '../draw/useDrawing.js';
import { GroundOverlay } from '../ground/GroundOverlay.js';
import type { GroundWork } from '../ground/useGround.js';
import { StepsOverlay } from '../steps/StepsOverlay.js';
import type { StepWork } from '../steps/useSteps.js';

/** The layer over the picture that takes its clicks: one at a time. */
export function OverPicture({
  ground,
  steps,
  drawing,
  body,
  floor,
  frame,
  ...size
}: {
  ground: GroundWork;
  steps: StepWork;
  drawing: DrawWork;
  body: BodyWork;
  floor: Pattern;
  /** The current frame. */
  frame: number;
  widthPx: number;
  heightPx: number;
  /** Film pixels per screen pixel. */
  unit: number;
}): ReactElement {
  if (ground.isOn) return <GroundOverlay work={ground} floor={floor} {...size} />;
  if (steps.isOn) return <StepsOverlay work={steps} frame={frame} {...size} />;
  if (body.isOn) return <BodyOverlay work={body} {...size} />;
  return <DrawOverlay work={drawing} {...size} />;
}
