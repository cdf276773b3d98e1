import { lengthWords, distance, HOME, type LengthUnit } from '@orthokin/core/floor';
import {
  bestLandmark,
  landmarksOf,
  tapeMarks,
  type Landmark,
  type Pattern,
} from '@orthokin/core/pattern';
import { RUN_OFF_M } from '@orthokin/core/plan';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { SelectField } from './form/SelectField.js';
import { commaList } from '../words/format.js';
import { Court, HomeRing } from './plan/Court.js';
import { Marker, MarkerShapeAt } from './plan/Marker.js';
import { viewBox, viewOfCourt } from './plan/view.js';
import { Quiet } from './Text.js';
import { colour } from './tokens.js';
import { say } from '../words/studio.js';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 62mm;
  gap: 8mm;
  margin-top: 5mm;
  svg {
    max-width: 100%;
  }
  .plan svg {
    width: 100%;
    max-height: 110mm;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    font-variant-numeric: tabular-nums;
  }
  th,
  td {
    padding: 7px 12px 7px 0;
    border-bottom: 1px solid ${colour('rule')};
    text-align: left;
    vertical-align: middle;
  }
  th {
    font-weight: 450;
    font-size: 15px;
    color: ${colour('quiet')};
  }
  td svg {
    display: inline-block !important;
    margin-right: 8px;
    vertical-align: middle;
  }
  td:first-child {
    white-space: nowrap;
  }
  ul {
    margin: 2mm 0 0;
    padding-left: 18px;
  }
  h2 {
    margin: 6mm 0 0;
    font-size: 17px;
  }
  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** Tapes come in these lengths, metres. */
const TAPES_M = [3, 5, 8, 10, 20, 30, 50];

function Plan({ pattern, second }: { pattern: Pattern; second: Landmark }): ReactElement {
  const view = viewOfCourt(pattern);
  return (
    <svg viewBox={viewBox(view)} role="img" aria-label={say('planFloorItsTapeLines')}>
      <Court floor={pattern} view={view} />
      {pattern.targets.map(({ letter, at }) => (
        <g key={letter} stroke={colour('ink')} strokeWidth={0.02} strokeDasharray="0.08 0.06">
          <line x1={0} y1={0} x2={at.x} y2={-at.y} />
          <line x1={second.at.x} y1={-second.at.y} x2={at.x} y2={-at.y} />
        </g>
      ))}
      <HomeRing radiusM={pattern.home.radiusM} />
      <circle cx={second.at.x} cy={-second.at.y} r={0.14} fill={colour('ink')} />
      {pattern.targets.map((target) => (
        <MarkerShapeAt
          key={target.letter}
          target={target}
          x={target.at.x}
          y={-target.at.y}
          size={0.3}
        />
      ))}
    </svg>
  );
}

/** What has to be carried to the floor for this pattern. */
function Needed({
  pattern,
  second,
  unit,
}: {
  pattern: Pattern;
  second: Landmark;
  unit: LengthUnit;
}) {
  const marks = tapeMarks(pattern, second);
  const longest = Math.max(0, ...marks.flatMap((mark) => [mark.fromHomeM, mark.fromSecondM]));
  const tape = TAPES_M.find((metres) => metres >= longest) ?? longest;
  const short = marks.filter(({ clearanceM }) => clearanceM < RUN_OFF_M);
  const narrowest = Math.min(...marks.map(({ clearanceM }) => clearanceM));
  return (
    <>
      <h2>{say('whatNeeded')}</h2>
      <ul>
        <li>
          {say('markersToSetOut', { markers: pattern.targets.length })}{' '}
          {commaList(
            pattern.targets.map(({ letter, colour: c, shape }) => `${letter} ${c} ${shape}`),
          )}
        </li>
        <li>
          {say('tapeChalkHomeBaseRingRadiusm', {
            radiusM: lengthWords(pattern.home.radiusM, unit),
          })}
        </li>
        <li>
          {say('twoTapesWhichOneTapeString', {
            which: unit === 'metres' ? `${tape} m` : lengthWords(tape, unit),
          })}
        </li>
        <li>{say('helperHoldTapesHomeBaseSecond', { second: second.name })}</li>
      </ul>
      <h2>{say('clearance')}</h2>
      <p style={{ margin: '1mm 0 0' }}>
        {say('whichKeepFloorClearDry', {
          which:
            marks.length === 0
              ? say('noMarkersYet')
              : short.length === 0
                ? say('leastNarrowestFromEveryMarkerEdge', {
                    narrowest: lengthWords(narrowest, unit),
                  })
                : say('underRunoffmEdgeShortSlowDown', {
                    RUNOFFM: lengthWords(RUN_OFF_M, unit),
                    short: commaList(
                      short.map(
                        ({ target, clearanceM }) =>
                          `${target.letter} (${lengthWords(clearanceM, unit)})`,
                      ),
                    ),
                  }),
        })}
      </p>
    </>
  );
}

/** How to put a pattern down on a floor with tape: its marks, what is needed, and a plan. */
export function SetOut({ pattern, unit }: { pattern: Pattern; unit: LengthUnit }): ReactElement {
  const landmarks = landmarksOf(pattern);
  const [name, setName] = useState(() => bestLandmark(pattern).name);
  const second = landmarks.find((landmark) => landmark.name === name) ?? bestLandmark(pattern);
  const { onCourt } = pattern.home;
  const off = lengthWords(Math.abs(onCourt.x), unit);
  const aside =
    onCourt.x === 0
      ? say('middleLine')
      : say('offWhichMiddle', { off, which: onCourt.x < 0 ? 'left' : 'right' });
  return (
    <>
      <Quiet>{say('setOutSheet')}</Quiet>
      <h1>{pattern.name}</h1>
      <div className="no-print" style={{ maxWidth: 260, margin: '12px 0 0' }}>
        <SelectField
          label={say('secondPoint')}
          value={second.name}
          options={landmarks.map((landmark) => landmark.name)}
          onChange={setName}
        />
      </div>
      <Columns>
        <div>
          <p style={{ margin: 0 }}>
            {say('homeBaseStandsAsideYFrom', {
              aside,
              y: lengthWords(onCourt.y, unit),
              second: second.name,
              distance: lengthWords(distance(HOME, second.at), unit),
            })}
          </p>
          <table style={{ marginTop: '4mm' }}>
            <thead>
              <tr>
                <th scope="col">{say('marker')}</th>
                <th scope="col">{say('fromHomeBase')}</th>
                <th scope="col">{say('fromSecondPoint')}</th>
                <th scope="col">{say('side')}</th>
              </tr>
            </thead>
            <tbody>
              {tapeMarks(pattern, second).map(({ target, fromHomeM, fromSecondM, side }) => (
                <tr key={target.letter}>
                  <td>
                    <Marker target={target} size={24} /> {target.name}
                  </td>
                  <td className="mono">{lengthWords(fromHomeM, unit)}</td>
                  <td className="mono">{lengthWords(fromSecondM, unit)}</td>
                  <td>{side ?? say('line')}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Quiet style={{ fontSize: 15, marginTop: '2mm' }}>
            {say('sideSomebodyHomeBaseLookingSecond', { second: second.name })}
          </Quiet>
        </div>
        <div className="plan">
          <div className="sheet-plan">
            <Plan pattern={pattern} second={second} />
          </div>
          <Needed pattern={pattern} second={second} unit={unit} />
        </div>
      </Columns>
    </>
  );
}
