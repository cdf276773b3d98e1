import { isSpoken, type Conditions, type StaircaseSteps } from '@orthokin/core/drill';
import { rungOf, type Rung } from '@orthokin/core/pattern';
import { USUAL_STAIRCASE_RULE, EFFORTS, type Rule } from '@orthokin/core/progress';
import type { DrillSetupReply } from '@orthokin/contract';
import { useMemo, type ReactElement } from 'react';
import styled from 'styled-components';
import { allWordsOf } from '../../drill/cue-words.js';
import { commaList, percent, seconds } from '../../words/format.js';
import { HowKnown } from '../../parts/explained/HowKnown.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { Quiet, Time } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { VoicePart } from '../voice/VoicePart.js';
import { AmountPart } from './AmountPart.js';
import { CuePart } from './CuePart.js';
import { guessableSentence } from './guessable.js';
import { conditionsFor, type DrillChoices } from '../plan-drill.js';
import { StakesPart } from './StakesPart.js';
import { TrialsPart } from './TrialsPart.js';
import { WaitingPart } from './WaitingPart.js';
import { say } from '../../words/floor.js';
import { againstWords, doingWords } from '../../words/rung.js';
import { orderWords } from '../../words/set-up.js';

const Choices = styled.div`
  display: grid;
  gap: 20px;
  > * > .label {
    display: block;
    margin-bottom: 8px;
    font-weight: 650;
  }
  .folds {
    border-bottom: 1px solid ${colour('rule')};
  }
`;

/** Recomputed only when something it depends on has changed. */
function useGuessable(
  setup: DrillSetupReply,
  targets: readonly string[],
  choices: DrillChoices,
  seed: number,
): string {
  const settled = JSON.stringify([choices, targets]);
  return useMemo(() => {
    const [kept, inPlay] = JSON.parse(settled) as [DrillChoices, string[]];
    return guessableSentence(setup, inPlay, kept, seed);
  }, [setup, settled, seed]);
}

/** Conditions that the rung decides. */
const OF_THE_RUNG = ['order', 'catchShare', 'switchShare'] as const;

const share = (part: number, what: string): string[] =>
  part > 0 ? [`${percent(part)} ${what}`] : [];

/** What a rung asks besides its targets. */
const askedWords = ({
  order,
  doing,
  pressure,
  catchShare,
  switchShare,
  floorScale,
}: Rung): string =>
  commaList([
    orderWords(order),
    ...share(catchShare, 'catch'),
    ...share(switchShare, 'switch'),
    doingWords(doing),
    ...(pressure === 'none' ? [] : [say('againstPressure', { pressure: againstWords(pressure) })]),
    ...(floorScale === 1 ? [] : [say('floorFloorscale', { floorScale: percent(floorScale) })]),
  ]);

const stepsOf = (rule: Rule): StaircaseSteps => {
  const { passesInARow, stepMs, leastStepMs, reversals } =
    rule.kind === 'staircase' ? rule : USUAL_STAIRCASE_RULE;
  return { passesInARow, stepMs, leastStepMs, reversals };
};

/** Amount of work, cues, and the tests among them. */
export function CuesForm({
  setup,
  choices,
  turns,
  seed,
  onChange,
}: {
  setup: DrillSetupReply;
  choices: DrillChoices;
  turns: number;
  seed: number;
  onChange: (choices: DrillChoices) => void;
}): ReactElement {
  const conditions = conditionsFor(setup, choices);
  const rung = rungOf(setup.pattern, setup.rung);
  const guessable = useGuessable(setup, rung?.targets ?? [], choices, seed);
  const set = (change: Partial<DrillChoices>) => onChange({ ...choices, ...change });
  const settle = (change: Partial<Conditions>) =>
    set({
      conditions: { ...conditions, ...change },
      asRung: choices.asRung && !OF_THE_RUNG.some((name) => name in change),
    });
  return (
    <Choices>
      <AmountPart
        choices={choices}
        usualRatio={EFFORTS[setup.ladder.effort].restRatio}
        turns={turns}
        onChange={set}
      />
      {rung && (
        <CheckField isSelected={choices.asRung} onChange={(asRung) => set({ asRung, conditions })}>
          {say('cuesRungNumberAsksAskedwords', {
            number: rung.number,
            askedWords: askedWords(rung),
          })}
        </CheckField>
      )}
      <CuePart conditions={conditions} onChange={settle} />
      {isSpoken(conditions) && <VoicePart words={allWordsOf(setup)} />}
      <div className="folds">
        <WaitingPart
          conditions={conditions}
          demandMs={rung?.limitsMs.cycle ?? null}
          steps={stepsOf(setup.ladder.rule)}
          onChange={settle}
        />
        <TrialsPart conditions={conditions} onChange={settle} />
        <StakesPart conditions={conditions} onChange={settle} />
      </div>
      <Quiet>
        {say('targets')} {commaList(rung?.targets ?? [])}
        {say('guessableSaid', { guessable })} <HowKnown what="guessable" /> {say('limitsAre')}{' '}
        {Object.entries(rung?.limitsMs ?? {}).map(([name, ms], i) => (
          <span key={name}>
            {i > 0 && ', '}
            {name} <Time>{seconds(ms)}</Time> s
          </span>
        ))}
        {say('seed')} <Time>{seed}</Time>.
      </Quiet>
    </Choices>
  );
}
