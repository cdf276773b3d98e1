import { legFigures } from '@orthokin/core/footwork';
import { heading, HOME, lengthWords, type LengthUnit, type Point } from '@orthokin/core/floor';
import {
  notesOf,
  POSITION_NAMES,
  positionOf,
  targetOf,
  type Leg,
  type Pattern,
  type PositionName,
} from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { useParams } from 'react-router';
import styled from 'styled-components';
import { useRemembered } from '../../device/useRemembered.js';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { viewOfLeg } from '../../parts/plan/view.js';
import { LegDrawn } from '../../parts/plan/LegDrawn.js';
import { PHASE_COLOURS } from '../../parts/phases.js';
import { PositionStill, WeightBar } from '../../parts/PositionStill.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { POSITION_WORDS } from '../../words/position.js';
import { baseWords, headingWords, windowWords } from '../../words/check-point.js';
import { PatternSheet } from './PatternSheet.js';
import { capital } from '../../words/format.js';
import { usePrintable } from './usePrintable.js';
import { say } from '../../words/studio.js';

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 5mm 7mm;
  margin-top: 5mm;
  font-size: 14px;
  article {
    padding-top: 2mm;
    border-top: 3px solid;
    break-inside: avoid;
  }
  h2 {
    margin: 0;
    font-size: 17px;
    font-weight: 450;
    color: ${colour('quiet')};
  }
  h2 + p {
    margin: 0 0 1.5mm;
    font-size: 24px;
    font-weight: 700;
    line-height: 1.15;
  }
  .facts {
    display: flex;
    gap: 4mm;
  }
  ul {
    margin: 1.5mm 0 0;
    padding: 0;
    list-style: none;
  }
  .facts > div {
    line-height: 1.3;
  }
  li::before {
    content: '';
    display: inline-block;
    width: 11px;
    height: 11px;
    margin-right: 7px;
    border: 1.5px solid ${colour('ink')};
  }
  .way svg {
    max-height: 62mm;
  }
  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** The direction of the movement after a position, if there is one. */
function goesFrom(name: PositionName, target: Point): number | undefined {
  if (name === 'split') return heading(HOME, target);
  return name === 'action' ? heading(target, HOME) : undefined;
}

function Cards({
  pattern,
  leg,
  unit,
}: {
  pattern: Pattern;
  leg: Leg;
  unit: LengthUnit;
}): ReactElement {
  const { toTargetM, out, back } = legFigures(pattern, leg);
  const time = (ms: number | null) => (ms === null ? '?' : `${(ms / 1000).toFixed(2)} s`);
  return (
    <>
      <Quiet>
        {say('patternPositionCardsHandHanders', { pattern: pattern.name, hand: pattern.hand })}
      </Quiet>
      <h1>
        {leg.target}, {targetOf(pattern, leg.target)?.name}
      </h1>
      <p style={{ margin: say('n2mm00') }}>
        {say('travelLoadStanceRecoverTotargetmStraight', {
          travel: capital(leg.travel),
          load: leg.load,
          recover: leg.recover,
          toTargetM: lengthWords(toTargetM, unit),
          steps: out.steps,
          time: time(out.ms),
          steps2: back.steps,
          time2: time(back.ms),
        })}
      </p>
      <Grid>
        {POSITION_NAMES.map((name) => {
          const standing = positionOf(pattern, leg, name);
          const { cue, checkPoints } = notesOf(pattern, leg, name);
          if (!standing) return null;
          return (
            <article key={name} style={{ borderColor: PHASE_COLOURS[name] }}>
              <h2>{POSITION_WORDS[name]}</h2>
              <p>{cue && `“${cue}”`}</p>
              <div className="facts">
                <PositionStill
                  standing={standing}
                  phase={name}
                  width={176}
                  height={138}
                  label={POSITION_WORDS[name]}
                  goesDeg={goesFrom(name, targetOf(pattern, leg.target)?.at ?? HOME)}
                />
                <div>
                  <WeightBar leftWeight={standing.leftWeight} width={52} />
                  <div>{baseWords(standing, pattern, unit)}</div>
                  <div>{headingWords(standing)}</div>
                  <div>{windowWords(name, pattern)}</div>
                </div>
              </div>
              <ul>
                {checkPoints.map((point) => (
                  <li key={point}>{point}</li>
                ))}
              </ul>
            </article>
          );
        })}
        <article className="way sheet-plan" style={{ borderColor: PHASE_COLOURS.travel }}>
          <h2 style={{ marginBottom: '2mm' }}>{say('way')}</h2>
          <FloorPlan
            pattern={{
              ...pattern,
              targets: pattern.targets.filter(({ letter }) => letter === leg.target),
            }}
            view={viewOfLeg(targetOf(pattern, leg.target)?.at ?? HOME)}
            label={say('stepsTarget', { target: leg.target })}
          >
            <LegDrawn pattern={pattern} leg={leg} />
          </FloorPlan>
        </article>
      </Grid>
    </>
  );
}

/** One page per leg. */
const Sheets = styled.div`
  > section + section {
    margin-top: 14mm;
    break-before: page;
  }
  @media print {
    > section + section {
      margin-top: 0;
    }
  }
`;

/** Prints the positions of one leg, or of all legs. */
export function PositionCards(): ReactElement {
  const { patternId = '', letter } = useParams();
  const { pattern, isPending } = usePrintable(patternId);
  const [unit] = useRemembered<LengthUnit>('length-unit', 'metres');
  const legs = pattern?.legs.filter(({ target }) => letter === undefined || target === letter);
  return (
    <PatternSheet
      back={`/patterns/${patternId}${letter === undefined ? '' : `?leg=${letter}`}`}
      name={[pattern?.name, letter].filter((part) => part !== undefined).join(' ')}
    >
      {pattern && legs && legs.length > 0 ? (
        <Sheets>
          {legs.map((leg) => (
            <section key={leg.target} aria-label={say('cardsOf', { letter: leg.target })}>
              <Cards pattern={pattern} leg={leg} unit={unit} />
            </section>
          ))}
        </Sheets>
      ) : (
        <Quiet>
          {isPending
            ? say('openingPattern')
            : say(letter === undefined ? 'noFeetLaidAnyTarget' : 'noFeetLaidThisTarget')}
        </Quiet>
      )}
    </PatternSheet>
  );
}
