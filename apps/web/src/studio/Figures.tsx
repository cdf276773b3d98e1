import { legFigures, MAX_DETOUR, patternFigures, type WayFigures } from '@orthokin/core/footwork';
import { lengthWords, type LengthUnit } from '@orthokin/core/floor';
import type { Leg, Pattern } from '@orthokin/core/pattern';
import { memo, type ReactElement } from 'react';
import styled from 'styled-components';
import { Explains } from '../parts/explained/Explains.js';
import { useEditor } from './state/editor.js';
import { useUnit } from './state/unit.js';
import { percent } from '../words/format.js';
import { say } from '../words/studio.js';

/** A figure, with how it was calculated. */
interface Figure {
  readonly value: string;
  readonly words: string;
  readonly how: string;
}

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
  padding-top: 6px;
  strong {
    font-size: 18px;
  }
`;

const FigureButton = memo(function FigureButton({ value, words, how }: Figure): ReactElement {
  return (
    <Explains label={say('howWordsWasWorkedOut', { words })} how={how}>
      <strong>{value}</strong> {words}
    </Explains>
  );
});

const STRAIGHT_SHARE = 0.005;

const s = (ms: number): string => `${(ms / 1000).toFixed(2)} s`;

/** How much longer than straight a path is; less than half a percent counts as straight. */
const detourWords = (detour: number): string =>
  detour - 1 < STRAIGHT_SHARE
    ? say('isStraight')
    : say('detourDetour', { percent: percent(detour - 1) });

/** The length of the midpoint's path, and how much longer than straight it is. */
function pathFigure(
  { pathM, straightM, detour }: WayFigures,
  name: 'out' | 'back',
  unit: LengthUnit,
): Figure {
  const length = (metres: number) => lengthWords(metres, unit);
  const ends = name === 'out' ? say('stancePlantedLoad') : say('loadStanceHome');
  const ratio =
    detour === null
      ? ''
      : say('detourPathStraightLengthLength2Detour', {
          length: length(pathM),
          length2: length(straightM),
          detour: detour.toFixed(2),
          MAXDETOUR: MAX_DETOUR.toFixed(2),
        });
  return {
    value: length(pathM),
    words: say('pathNameWhich', {
      name,
      which: detour === null ? '' : detourWords(detour),
    }),
    how: say('middleBetweenFeetMovesFromStep', { ends, length: length(pathM), ratio }),
  };
}

function ofLeg(pattern: Pattern, leg: Leg, unit: LengthUnit): Figure[] {
  const { toTargetM, out, back } = legFigures(pattern, leg);
  const times: Figure[] = [];
  if (out.ms !== null)
    times.push({
      value: s(out.ms),
      words: say('cueArrival'),
      how: say('responseFromCue000S', { s: s(out.ms) }),
    });
  if (back.ms !== null)
    times.push({
      value: s(back.ms),
      words: say('actionHome'),
      how: say('recoveryFromActionSecondFootStance'),
    });
  return [
    {
      value: lengthWords(toTargetM, unit),
      words: say('toTheMarker'),
      how: say('fromMiddleHomeBaseMarkerTape'),
    },
    pathFigure(out, 'out', unit),
    pathFigure(back, 'back', unit),
    {
      value: `${out.steps} + ${back.steps}`,
      words: 'steps',
      how: say('outStepsPlacementsAfterSplitLoad', { steps: out.steps, steps2: back.steps }),
    },
    ...times,
  ];
}

function ofPattern(pattern: Pattern, unit: LengthUnit): Figure[] {
  const { bitsOfChoice, distancePerRepM, turnsPerRep, cycleMs } = patternFigures(pattern);
  const targets = pattern.targets.length;
  const figures: Figure[] = [
    {
      value: say('targetsCount', { targets }),
      words: say('bitsChoice', { bits: bitsOfChoice.toFixed(2) }),
      how: say('log2TargetsTargetsEachLikelyAny', { targets }),
    },
    {
      value: lengthWords(distancePerRepM, unit),
      words: say('rep'),
      how: say('twiceMeanStraightDistanceFromHome', { targets }),
    },
  ];
  if (turnsPerRep !== null)
    figures.push({
      value: turnsPerRep.toFixed(1),
      words: say('changesDirectionRep'),
      how: say('wherePathMiddleBetweenFeetTurns'),
    });
  if (cycleMs !== null)
    figures.push({
      value: s(cycleMs),
      words: 'cycle',
      how: say('fromCueBothFeetStanceHome'),
    });
  return figures;
}

/** Figures of the open leg, or of the whole pattern; pressing one explains it. */
export function Figures({ leg }: { leg: Leg | undefined }): ReactElement {
  const { pattern } = useEditor();
  const { unit } = useUnit();
  const figures = leg ? ofLeg(pattern, leg, unit) : ofPattern(pattern, unit);
  return (
    <Row role="group" aria-label={say('figures')}>
      {figures.map((figure, i) => (
        <FigureButton key={i} {...figure} />
      ))}
    </Row>
  );
}
