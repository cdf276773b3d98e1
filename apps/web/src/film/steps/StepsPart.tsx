import { filmedSteps, legOnFilm, type Body, type StepReading } from '@orthokin/core/film';
import { checkLeg, legFigures, pathsOf, shortOfHomeM, stepLengthsM } from '@orthokin/core/footwork';
import { HOME, type LengthUnit } from '@orthokin/core/floor';
import { legOf, targetOf, withLeg, type Leg, type Pattern } from '@orthokin/core/pattern';
import { problemSentence } from '@orthokin/core/result';
import type { TimedEvent } from '@orthokin/core/timing';
import { useMemo, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { keepDraft } from '../../device/drafts.js';
import { useRemembered } from '../../device/useRemembered.js';
import { Button } from '../../parts/Button.js';
import { FiguresTable } from '../../parts/FiguresTable.js';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { LegDrawn } from '../../parts/plan/LegDrawn.js';
import { PathLine } from '../../parts/plan/Step.js';
import { viewOfLeg } from '../../parts/plan/view.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { findingSentence } from '../../words/finding.js';
import { say } from '../../words/film.js';
import { seconds } from '../../words/format.js';
import { Row } from '../Row.js';
import type { StepWork } from './useSteps.js';

/** Feet clicked in the picture: a step score with true times, beside the plan. */
export function StepsPart({
  work,
  reading,
  pattern,
  letter,
  events,
  seen,
  frame,
  title,
}: {
  work: StepWork;
  /** `null` until the floor is known and the film is tied. */
  reading: StepReading | null;
  pattern: Pattern;
  letter: string;
  events: readonly TimedEvent[];
  /** The body in the current frame, if it was found. */
  seen: Body | null;
  frame: number;
  /** The title of a pattern made from it. */
  title: string;
}): ReactElement {
  const { clicks, foot } = work;
  const leg = useMemo(
    () =>
      reading && clicks.length > 0
        ? legOnFilm(filmedSteps(clicks, reading), pattern, letter, events)
        : null,
    [reading, clicks, pattern, letter, events],
  );
  return (
    <section style={{ marginTop: 22 }} aria-label={say('stepsOfRep')}>
      <Heading>{say('stepsOfRep')}</Heading>
      {!reading ? (
        <Quiet style={{ fontSize: 15 }}>{say('stepsNeedFloor')}</Quiet>
      ) : !work.isOn ? (
        <Row>
          <Button onPress={work.begin}>{say('clickFeet')}</Button>
        </Row>
      ) : (
        <>
          <p role="status" style={{ margin: '6px 0' }}>
            {say('clickFoot', { n: clicks.length + 1, foot })}
          </p>
          <Quiet style={{ fontSize: 15 }}>{say('clickFootHow')}</Quiet>
          <Row>
            {(['left', 'right'] as const).map((side) => (
              <Button key={side} aria-pressed={foot === side} onPress={() => work.setFoot(side)}>
                {say(side === 'left' ? 'leftFoot' : 'rightFoot')}
              </Button>
            ))}
            {seen && (
              <Button onPress={() => work.click(seen[`${foot}Heel`], frame, seen[`${foot}Toe`])}>
                {say('takeFootFromBody')}
              </Button>
            )}
            <Button isDisabled={clicks.length === 0} onPress={work.takeBack}>
              {say('takeFootBack')}
            </Button>
            <Button onPress={work.end}>{say('doneFeet')}</Button>
          </Row>
        </>
      )}
      {leg && !leg.ok && clicks.length > 1 && (
        <Quiet style={{ fontSize: 15 }}>{problemSentence(leg.problem)}</Quiet>
      )}
      {leg?.ok && <Read {...{ pattern, title }} leg={leg.value} />}
    </section>
  );
}

/** The placements drawn over the plan, with their figures and what checks found. */
function Read({
  pattern,
  leg,
  title,
}: {
  pattern: Pattern;
  leg: Leg;
  title: string;
}): ReactElement {
  const navigate = useNavigate();
  const [unit] = useRemembered<LengthUnit>('length-unit', 'metres');
  const filmed = useMemo(() => withLeg(pattern, leg), [pattern, leg]);
  const plan = legOf(pattern, leg.target);
  const findings = checkLeg(filmed, leg.target);
  const open = () => {
    const id = v7();
    keepDraft(id, { version: 0, pattern: { ...filmed, name: title } });
    void navigate(`/patterns/${id}?leg=${leg.target}`);
  };
  return (
    <>
      <div style={{ height: 300, margin: '12px 0' }}>
        <FloorPlan
          pattern={{
            ...pattern,
            targets: pattern.targets.filter(({ letter }) => letter === leg.target),
          }}
          view={viewOfLeg(targetOf(pattern, leg.target)?.at ?? HOME)}
          label={say('stepsDrawn', { letter: leg.target })}
        >
          {plan && <PathLine path={pathsOf(pattern, plan).out} ink={colour('ink')} faint />}
          <LegDrawn pattern={filmed} leg={leg} />
        </FloorPlan>
      </div>
      <StepFigures filmed={[filmed, leg]} plan={plan ? [pattern, plan] : null} />
      <ul style={{ margin: '10px 0', paddingLeft: 20 }}>
        {findings.map((finding, i) => (
          <li key={i}>{findingSentence(finding, leg, unit)}</li>
        ))}
      </ul>
      {findings.length === 0 && <Quiet style={{ fontSize: 15 }}>{say('nothingAmiss')}</Quiet>}
      <Row>
        <Button onPress={open}>{say('openAsPattern')}</Button>
      </Row>
    </>
  );
}

type OnPattern = readonly [Pattern, Leg];

const longest = (lengthsM: readonly number[]): number | null =>
  lengthsM.length === 0 ? null : Math.max(...lengthsM);
const metres = (m: number | null | undefined): string => (m == null ? '–' : m.toFixed(2));
const inSeconds = (ms: number | null): string => (ms === null ? '–' : seconds(ms));

function StepFigures({
  filmed,
  plan,
}: {
  filmed: OnPattern;
  plan: OnPattern | null;
}): ReactElement {
  const own = legFigures(...filmed);
  const planned = plan && { figures: legFigures(...plan), of: plan };
  const rows: readonly (readonly [string, (figures: typeof own, of: OnPattern) => string])[] = [
    [say('stepsOut'), ({ out }) => String(out.steps)],
    [say('stepsBack'), ({ back }) => String(back.steps)],
    [say('wayOutM'), ({ out }) => metres(out.pathM)],
    [say('wayBackM'), ({ back }) => metres(back.pathM)],
    [say('arrivalS'), ({ out }) => inSeconds(out.ms)],
    [say('homeS'), ({ back }) => inSeconds(back.ms)],
    [say('longestStepM'), (_, of) => metres(longest(stepLengthsM(...of)))],
    [say('baseLoadM'), ({ baseWidthsM }) => metres(baseWidthsM.load)],
    [say('shortOfHomeM'), (_, of) => metres(shortOfHomeM(...of))],
  ];
  return (
    <FiguresTable caption={say('filmBesidePlan')}>
      <thead>
        <tr>
          <th scope="col" />
          <th scope="col">{say('onFilm')}</th>
          <th scope="col">{say('planWord')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, of]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td>{of(own, filmed)}</td>
            <td>{planned ? of(planned.figures, planned.of) : '–'}</td>
          </tr>
        ))}
      </tbody>
    </FiguresTable>
  );
}
