import { pathsOf } from '@orthokin/core/footwork';
import { legOf, targetOf } from '@orthokin/core/pattern';
import { useRef, type ReactElement } from 'react';
import styled from 'styled-components';
import { Court, HomeRing } from '../../parts/plan/Court.js';
import { PathLine } from '../../parts/plan/Step.js';
import { viewBox, viewOfCourt, viewOfLeg, type View } from '../../parts/plan/view.js';
import { colour } from '../../parts/tokens.js';
import { ZoomButtons } from '../../parts/ZoomButtons.js';
import { useEditor } from '../state/editor.js';
import { useSelection } from '../state/selection.js';
import { MarkerHandle } from './MarkerHandle.js';
import { OpenLeg } from './OpenLeg.js';
import { useZoom } from './useZoom.js';
import { say } from '../../words/studio.js';

const Frame = styled.div`
  position: relative;
  min-height: 0;
  height: 100%;
  > svg {
    display: block;
    width: 100%;
    height: 100%;
    touch-action: none;
    cursor: grab;
  }
`;

/** Enlarges a view so that it fills a frame of any shape. */
const around = ({ x, y, width, height }: View): View => ({
  x: x - width,
  y: y - height,
  width: 3 * width,
  height: 3 * height,
});

/** The studio's floor: markers and feet to place, with zoom. */
export function StudioFloor(): ReactElement {
  const { pattern } = useEditor();
  const { letter } = useSelection();
  const svg = useRef<SVGSVGElement>(null);
  const surface = useRef<SVGGElement>(null);
  const zoom = useZoom(svg);
  const leg = letter === null ? undefined : legOf(pattern, letter);
  const whole = viewOfCourt(pattern);
  const open = letter === null ? undefined : targetOf(pattern, letter);
  const view = open ? viewOfLeg(open.at) : whole;
  return (
    <Frame>
      <svg
        ref={svg}
        viewBox={viewBox(view)}
        aria-label={say('floor')}
        role="group"
        id="studio-floor"
      >
        <g ref={surface} transform={zoom.transform.toString()}>
          <Court floor={pattern} view={around(whole)} />
          <HomeRing radiusM={pattern.home.radiusM} />
          {pattern.legs.map((each) =>
            each === leg ? null : (
              <PathLine
                key={each.target}
                path={pathsOf(pattern, each).out}
                ink={colour('floorLine')}
                faint
              />
            ),
          )}
          {pattern.targets.map((target) => (
            <MarkerHandle key={target.letter} target={target} surface={surface} />
          ))}
          {leg && <OpenLeg leg={leg} surface={surface} />}
        </g>
      </svg>
      <ZoomButtons by={zoom.by} fit={zoom.fit} />
    </Frame>
  );
}
