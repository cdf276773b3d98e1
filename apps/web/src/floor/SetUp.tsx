import type { DrillSetupReply } from '@orthokin/contract';
import { rungOf } from '@orthokin/core/pattern';
import { problemSentence } from '@orthokin/core/result';
import { Play } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useClub, useDrillSetup } from '../club/queries.js';
import { useRemembered } from '../log/useRemembered.js';
import { Button } from '../parts/Button.js';
import { FloorPlan } from '../parts/plan/FloorPlan.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour, MIDDLE } from '../parts/tokens.js';
import { PatternPicker } from './PatternPicker.js';
import { DrillChoicesForm } from './DrillChoicesForm.js';
import { planDrill, type DrillChoices } from './plan-drill.js';
import type { DrillPlan } from '../drill/run.js';
import { epochNow } from '../drill/set-clock.js';

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
    grid-template-columns: minmax(0, 1fr);
    .plan svg {
      max-height: 420px;
    }
  }
`;

const What = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  margin-bottom: 8px;
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
  const [params] = useSearchParams();
  const setup = useDrillSetup(athleteId, params.get('pattern'));
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
          <What>
            <PatternPicker pattern={pattern} />
            <Quiet>
              rung {setup.rung} of {pattern.rungs.length}: {rung?.name}
            </Quiet>
          </What>
          <Headline>{athlete.name}, ready when you are.</Headline>
          {athlete.note && <p style={{ margin: '10px 0 0', maxWidth: '60ch' }}>{athlete.note}</p>}
          <DrillChoicesForm choices={choices} onChange={keep} rung={rung} seed={seed} />
          {problem && <Notice>{problem}</Notice>}
          <StartRow>
            <Button weight="main" autoFocus onPress={start}>
              <Play size={22} aria-hidden /> Start the set
            </Button>
          </StartRow>
          <Care>
            Warm up first. Keep the floor clear and dry, with free run-off round the markers. Stop
            on pain, dizziness or breathlessness that does not settle.
            {athlete.ageBand !== 'adult' &&
              ` ${athlete.name} is ${athlete.ageBand}: a guardian must have agreed, and the load must suit the age.`}
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
