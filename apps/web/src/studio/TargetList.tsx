import { checkLeg, acceptedAs } from '@orthokin/core/footwork';
import { legOf } from '@orthokin/core/pattern';
import { LandPlot } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Marker } from '../parts/plan/Marker.js';
import { colour, MIDDLE } from '../parts/tokens.js';
import { useEditor } from './state/editor.js';
import { useSelection } from './state/selection.js';
import { say } from '../words/studio.js';

const List = styled.ul`
  display: grid;
  gap: 2px;
  margin: 0;
  padding: 0;
  list-style: none;
  button {
    display: flex;
    align-items: center;
    gap: 10px;
    width: 100%;
    min-height: 40px;
    padding: 3px 6px;
    border: 0;
    border-radius: 4px;
    background: none;
    color: ${colour('ink')};
    font-size: 16px;
    text-align: left;
    cursor: pointer;
  }
  button[aria-current='true'] {
    font-weight: 700;
    background: ${colour('raised')};
    box-shadow: inset 4px 0 0 ${colour('here')};
    padding-left: 12px;
  }
  .amiss {
    margin-left: auto;
    font-weight: 700;
    color: ${colour('bad')};
  }
  .none {
    margin-left: auto;
    font-size: 14px;
    font-weight: 450;
    color: ${colour('quiet')};
  }
  @media (max-width: ${MIDDLE}) {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    button {
      width: auto;
      min-height: 48px;
      padding-right: 12px;
    }
  }
`;

/** The floor and its targets, to select from; a number counts a leg's findings. */
export function TargetList(): ReactElement {
  const { pattern } = useEditor();
  const { letter, open } = useSelection();
  return (
    <nav aria-label={say('partsPattern')}>
      <List>
        <li>
          <button type="button" aria-current={letter === null} onClick={() => open(null)}>
            <LandPlot size={26} aria-hidden /> {say('floor')}
          </button>
        </li>
        {pattern.targets.map((target) => {
          const amiss = checkLeg(pattern, target.letter).filter(
            (finding) => !acceptedAs(pattern, finding),
          ).length;
          return (
            <li key={target.letter}>
              <button
                type="button"
                aria-current={letter === target.letter}
                onClick={() => open(target.letter)}
              >
                <Marker target={target} size={26} />
                <span>{target.name}</span>
                {amiss > 0 && (
                  <span className="amiss" aria-label={say('amissAmiss', { amiss })}>
                    {amiss}
                  </span>
                )}
                {!legOf(pattern, target.letter) && <span className="none">{say('noFeet')}</span>}
              </button>
            </li>
          );
        })}
      </List>
    </nav>
  );
}
