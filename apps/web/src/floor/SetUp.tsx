import type { DrillSetupReply } from '@orthokin/contract';
import { rungOf } from '@orthokin/core/pattern';
import { problemSentence } from '@orthokin/core/result';
import { Minus, Play, Plus } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import {
  Button as AriaButton,
  Checkbox,
  Group,
  Input,
  Label,
  NumberField,
  Radio,
  RadioGroup,
} from 'react-aria-components';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useClub, useDrillSetup } from '../club/queries.js';
import { useRemembered } from '../log/useRemembered.js';
import { Button } from '../parts/Button.js';
import { FloorPlan } from '../parts/FloorPlan.js';
import { seconds } from '../parts/format.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Headline, Page, Quiet, Time } from '../parts/Text.js';
import { colour, MIDDLE } from '../parts/tokens.js';
import { FOREPERIOD_MS, MAX_RUN, planDrill, type DrillChoices } from './plan-drill.js';
import type { DrillPlan } from '../drill/run.js';
import { epochNow } from '../drill/set-clock.js';

const MAX_SET_REPS = 30;

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 470px);
  gap: 36px;
  align-items: start;
  .plan {
    max-height: 640px;
  }
  .plan svg {
    max-height: 640px;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: 1fr;
    .plan svg {
      max-height: 420px;
    }
  }
`;

const Choices = styled.div`
  display: grid;
  gap: 22px;
  margin: 24px 0;
  padding: 22px 0;
  border-block: 1px solid ${colour('rule')};
  label {
    cursor: pointer;
  }
  .label {
    display: block;
    margin-bottom: 8px;
    font-weight: 650;
  }
`;

const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  .react-aria-Radio {
    flex: 1 1 220px;
    max-width: 330px;
    padding: 11px 15px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    cursor: pointer;
    small {
      display: block;
      font-size: 15px;
      color: ${colour('quiet')};
    }
  }
  .react-aria-Radio[data-selected] {
    border-color: ${colour('ink')};
    box-shadow: inset 0 0 0 1.5px ${colour('ink')};
    background: ${colour('raised')};
  }
  .react-aria-Radio[data-focus-visible] {
    outline: 3px solid #2f6db5;
    outline-offset: 2px;
  }
`;

const Stepper = styled(Group)`
  display: inline-flex;
  border: 1.5px solid ${colour('rule')};
  border-radius: 4px;
  button {
    display: grid;
    place-items: center;
    width: 52px;
    height: 52px;
    border: 0;
    background: none;
    color: ${colour('ink')};
    cursor: pointer;
  }
  input {
    width: 64px;
    border: 0;
    background: none;
    color: ${colour('ink')};
    text-align: center;
    font:
      700 22px 'Atkinson Hyperlegible Mono Variable',
      monospace;
  }
`;

const Tone = styled(Checkbox)`
  display: flex;
  align-items: center;
  gap: 10px;
  cursor: pointer;
  &::before {
    content: '';
    width: 22px;
    height: 22px;
    border: 1.5px solid ${colour('ink')};
    border-radius: 3px;
  }
  &[data-selected]::before {
    content: '✓';
    display: grid;
    place-items: center;
    font-weight: 800;
    background: ${colour('accent')};
    color: ${colour('onAccent')};
  }
  &[data-focus-visible] {
    outline: 3px solid #2f6db5;
    outline-offset: 4px;
  }
`;

const StartRow = styled.div`
  position: sticky;
  bottom: 0;
  padding: 12px 0;
  background: ${colour('paper')};
  button {
    min-height: 64px;
    padding-inline: 34px;
    font-size: 21px;
  }
`;

const Care = styled(Quiet)`
  font-size: 16px;
  max-width: 62ch;
`;

/** The seed of the address, so that a set can be run again as it was; else a new one. */
function useSeed(): number {
  const [params] = useSearchParams();
  const [drawn] = useState(() => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1);
  const given = Number(params.get('seed') ?? NaN);
  return Number.isInteger(given) && given >= 0 && given < 2 ** 32 ? given : drawn;
}

const DEFAULTS: DrillChoices = { source: 'hand', reps: 10, withTone: true };

/** What the set will be, settled before it starts; the choices of last time stand. */
export function SetUp({
  athleteId,
  onStart,
}: {
  athleteId: string;
  onStart: (plan: DrillPlan) => Promise<void>;
}): ReactElement {
  const setup = useDrillSetup(athleteId);
  if (setup.data) return <SetUpFor setup={setup.data} onStart={onStart} />;
  return (
    <Page>
      {setup.error ? (
        <Failed error={setup.error} again={() => void setup.refetch()} />
      ) : (
        <Quiet>Getting the floor ready…</Quiet>
      )}
    </Page>
  );
}

function SetUpFor({
  setup,
  onStart,
}: {
  setup: DrillSetupReply;
  onStart: (plan: DrillPlan) => Promise<void>;
}): ReactElement {
  const club = useClub();
  const [kept, keep] = useRemembered<DrillChoices>('drill-choices', DEFAULTS);
  const choices = { ...DEFAULTS, ...kept };
  const [problem, setProblem] = useState<string | null>(null);
  const seed = useSeed();
  const { athlete, pattern } = setup;
  const rung = rungOf(pattern, setup.rung);

  const start = () => {
    const plan = planDrill(club, setup, choices, seed, epochNow());
    if (!plan.ok) setProblem(problemSentence(plan.problem));
    else
      onStart(plan.value).catch((error: unknown) =>
        setProblem(error instanceof Error ? error.message : String(error)),
      );
  };

  return (
    <Page>
      <Columns>
        <div>
          <Quiet>
            {pattern.name}, rung {setup.rung} of {pattern.rungs.length}: {rung?.name}
          </Quiet>
          <Headline>{athlete.name}, ready when you are.</Headline>
          {athlete.note && <p style={{ margin: '10px 0 0', maxWidth: '60ch' }}>{athlete.note}</p>}
          <Choices>
            <RadioGroup
              value={choices.source}
              onChange={(source) => keep({ ...choices, source: source as DrillChoices['source'] })}
            >
              <Label className="label">Timed by</Label>
              <Options>
                <Radio value="hand">
                  Hand
                  <small>You press as you see it; one time is sure to about 0.05 s.</small>
                </Radio>
                <Radio value="simulated">
                  The simulated athlete
                  <small>Moves on the drawn floor; for trying a set out alone.</small>
                </Radio>
              </Options>
            </RadioGroup>
            <NumberField
              value={choices.reps}
              minValue={1}
              maxValue={MAX_SET_REPS}
              onChange={(reps) => keep({ ...choices, reps: Number.isNaN(reps) ? 10 : reps })}
            >
              <Label className="label">Reps</Label>
              <Stepper>
                <AriaButton slot="decrement">
                  <Minus size={20} />
                </AriaButton>
                <Input />
                <AriaButton slot="increment">
                  <Plus size={20} />
                </AriaButton>
              </Stepper>
            </NumberField>
            <Tone
              isSelected={choices.withTone}
              onChange={(withTone) => keep({ ...choices, withTone })}
            >
              A tone with each cue
            </Tone>
            <Quiet>
              Targets {rung?.targets.join(', ')} in shuffled order, never more than {MAX_RUN} of one
              in a row, {FOREPERIOD_MS.map((ms) => (ms / 1000).toFixed(1)).join(' to ')} s from home
              to cue. Limits:{' '}
              {Object.entries(rung?.limitsMs ?? {}).map(([name, ms], i) => (
                <span key={name}>
                  {i > 0 && ', '}
                  {name} <Time>{seconds(ms)} s</Time>
                </span>
              ))}
              . Seed <Time>{seed}</Time>.
            </Quiet>
          </Choices>
          {problem && <Notice>{problem}</Notice>}
          <StartRow>
            <Button weight="main" autoFocus onPress={start}>
              <Play size={22} aria-hidden /> Start the set
            </Button>
          </StartRow>
          <Care>
            Warm up first. Keep the floor clear and dry, with free run-off round the markers. Stop
            on pain, dizziness or breathlessness that does not settle.
          </Care>
        </div>
        <div className="plan">
          <FloorPlan
            pattern={pattern}
            inPlay={rung?.targets}
            label={`The floor: home base and targets ${rung?.targets.join(', ') ?? ''}`}
          />
        </div>
      </Columns>
    </Page>
  );
}
