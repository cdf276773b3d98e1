import { recognised, type Recognised } from '@orthokin/core/cue';
import { median } from '@orthokin/core/numeric';
import { screenKindOf } from '@orthokin/core/drill';
import { rungOf } from '@orthokin/core/pattern';
import type { DrillSetupReply } from '@orthokin/contract';
import { Play } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { useLocation, useParams } from 'react-router';
import type { CuePlan } from '../../drill/cue-plan.js';
import { wordsOfSet } from '../../drill/cue-words.js';
import { useRemembered } from '../../device/useRemembered.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { listWords, seconds } from '../../words/format.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { allowSound } from '../../sound/audio.js';
import { learnWords } from '../../sound/spoken.js';
import { OnSetup } from '../set-up/OnSetup.js';
import { shownTargets } from '../plan-drill.js';
import { useChoices } from '../set-up/useChoices.js';
import { useRota } from '../set-up/useRota.js';
import { knownOf, mapName, mapSentence, type MapKnown } from '../map-known.js';
import { PractiseMap } from './PractiseMap.js';
import { BesideFloor, Plan, Said, Ways } from '../set/BesideFloor.js';
import { FloorInPlay } from '../set/FloorInPlay.js';
import { say } from '../../words/floor.js';

/** Practises which cue means which target, before anything is timed. */
export function MapPage(): ReactElement {
  const { athleteId = '' } = useParams();
  const [others] = useRota();
  const [place, setPlace] = useState(0);
  const athleteIds = [athleteId, ...others];
  const now = athleteIds[place] ?? athleteId;
  return (
    <OnSetup key={now} athleteId={now}>
      {(setup) => (
        <MapFor
          setup={setup}
          more={athleteIds.length - 1 - place}
          onNext={() => setPlace(place + 1)}
        />
      )}
    </OnSetup>
  );
}

function MapFor({
  setup,
  more,
  onNext,
}: {
  setup: DrillSetupReply;
  /** How many athletes come after this one. */
  more: number;
  onNext: () => void;
}): ReactElement {
  const { athlete, pattern } = setup;
  const { pathname, search } = useLocation();
  const [{ conditions }] = useChoices(athlete.id);
  const [, keep] = useRemembered<MapKnown | null>(mapName(athlete.id, pattern.id), null);
  const [state, setState] = useState<'learn' | 'asked' | MapResult>('learn');
  const letters = rungOf(pattern, setup.rung)?.targets ?? [];
  const seen = { ...pattern, targets: shownTargets(setup) };
  const plan = cuesAlone({ pattern: seen, conditions });
  const floorHref = `${pathname.replace(/\/map$/, '')}${search}`;
  const begin = async () => {
    await allowSound();
    await learnWords(wordsOfSet(plan));
    setState('asked');
  };
  if (state === 'asked')
    return (
      <PractiseMap
        plan={plan}
        pattern={seen}
        letters={letters}
        name={athlete.name}
        onStop={() => setState('learn')}
        onDone={(answers) => {
          const found = recognised(answers, letters);
          keep({ ...knownOf(found), at: new Date().toISOString() });
          setState({ found, afterMs: median(answers.map(({ afterMs }) => afterMs)) });
        }}
      />
    );
  const result = state === 'learn' ? null : state;
  return (
    <Page name={say('whichCueWhich')}>
      <BesideFloor>
        <Said>
          <Headline>
            {result
              ? mapSentence(athlete.name, knownOf(result.found))
              : say('athleteWhichCueMeansWhichPlace', { athlete: athlete.name })}
          </Headline>
          {result ? (
            <>
              <Quiet>{say('eachCueWasAskedUntilWas', { afterMs: seconds(result.afterMs) })}</Quiet>
              <ul>
                {result.found
                  .filter(({ known }) => !known)
                  .map(({ letter, asked, right, takenFor }) => (
                    <li key={letter}>
                      {say('letterRightAskedRight', { letter, right, asked })}
                      {takenFor.length > 0 &&
                        say('takenTakenfor', { takenFor: listWords(takenFor) })}
                    </li>
                  ))}
              </ul>
            </>
          ) : (
            <p>{say('lookFloorUntilMarkersKnownThen')}</p>
          )}
          <Ways>
            <Button
              weight={result ? 'plain' : 'main'}
              autoFocus={!result}
              onPress={() => void begin()}
            >
              <Play size={20} aria-hidden /> {result ? say('askAgain') : say('coverThemAsk')}
            </Button>
            {more > 0 && (
              <Button
                weight={result ? 'main' : 'plain'}
                autoFocus={result !== null}
                onPress={onNext}
              >
                {say('nextAthlete')}
              </Button>
            )}
            <ButtonLink to={floorHref} $weight={result && more === 0 ? 'main' : 'plain'}>
              {say('backSet')}
            </ButtonLink>
          </Ways>
        </Said>
        <Plan>
          <FloorInPlay
            pattern={seen}
            letters={letters}
            legend={(letter) => {
              const name = seen.targets.find((target) => target.letter === letter)?.name;
              return name ? [name] : [];
            }}
          />
        </Plan>
      </BesideFloor>
    </Page>
  );
}

/** Cues without the targets' names, which would give their places away, unless the name is the cue. */
const cuesAlone = ({ pattern, conditions }: CuePlan): CuePlan =>
  screenKindOf(conditions) === 'marker'
    ? { pattern: { targets: pattern.targets.map((each) => ({ ...each, name: '' })) }, conditions }
    : { pattern, conditions };

interface MapResult {
  readonly found: readonly Recognised[];
  readonly afterMs: number;
}
