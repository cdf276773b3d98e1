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

/** What lies over the picture and takes its clicks: one thing at a time. */
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
  /** On the screen. */
  frame: number;
  widthPx: number;
  heightPx: number;
  /** Pixels of the film to one of the screen. */
  unit: number;
}): ReactElement {
  if (ground.isOn) return <GroundOverlay work={ground} floor={floor} {...size} />;
  if (steps.isOn) return <StepsOverlay work={steps} frame={frame} {...size} />;
  if (body.isOn) return <BodyOverlay work={body} {...size} />;
  return <DrawOverlay work={drawing} {...size} />;
}
