import { foresee } from '@orthokin/core/progress';
import type { SetSource } from '@orthokin/core/run';
import { rungOf } from '@orthokin/core/pattern';
import { problemSentence } from '@orthokin/core/result';
import { Play } from 'lucide-react';
import { useEffect, useState, type ReactElement } from 'react';
import { useClub } from '../../api/club.js';
import { useFetchSetup } from '../../api/squad.js';
import { useWatch } from '../../api/people.js';
import { localDay } from '../../device/local-day.js';
import { epochNow } from '../../drill/set-clock.js';
import { useHand } from '../../drill/hand.js';
import { wordsOfSet } from '../../drill/cue-words.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { EmergencyCard } from '../../parts/EmergencyCard.js';
import { Notice } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { learnWords } from '../../sound/spoken.js';
import { FloorInPlay } from '../set/FloorInPlay.js';
import { BeaconsPart } from '../beacons/BeaconsPart.js';
import type { Beacons } from '../beacons/useBeacons.js';
import { SecondScreen } from '../../screens/SecondScreen.js';
import type { Room } from '../../live/useRoom.js';
import { SoundFile } from '../track/SoundFile.js';
import { BeforePart } from './BeforePart.js';
import { builtWords, colourWords } from './athlete-words.js';
import { CarePart, isStopped } from './CarePart.js';
import { Chip } from './Chip.js';
import { CuesForm } from './CuesForm.js';
import { ForeseenPart } from './ForeseenPart.js';
import { HandPart } from './HandPart.js';
import { OnSetup } from './OnSetup.js';
import { PatternPicker } from './PatternPicker.js';
import {
  conditionsFor,
  repsOf,
  scheduleFor,
  shownTargets,
  type DrillChoices,
  type FloorSetup,
  type Settled,
} from '../plan-drill.js';
import { RungPicker } from './RungPicker.js';
import { Before, Care, Chips, Columns, Notes, StartRow, What } from './SetUpLayout.js';
import { SourcePart } from './SourcePart.js';
import { trialWords } from './TrialsPart.js';
import { RotaPart } from './RotaPart.js';
import { beforeSet, useBeforeDrill } from './useBeforeDrill.js';
import { useChoices, useTestReps } from './useChoices.js';
import { useRota, useSharedPattern } from './useRota.js';
import { WorksOnPart } from './WorksOnPart.js';
import { useSeed } from './useSeed.js';
import { say } from '../../words/floor.js';
import {
  ANOTHER_ATHLETE,
  CHIP_TITLES,
  cuesWords,
  timingWords,
  whoWords,
} from '../../words/set-up.js';
import { restrictionWords, stopLines } from '../../words/care.js';
import { commaList } from '../../words/format.js';

type ChipName = 'who' | 'cues' | 'timing';

/** Sets up a set before it starts, beginning with the choices of last time. */
export function SetUp({
  athleteId,
  room,
  beacons,
  onSource,
  onStart,
}: {
  athleteId: string;
  room: Room;
  beacons: Beacons;
  onSource: (source: SetSource) => void;
  onStart: (settled: Settled, setup: FloorSetup) => Promise<void>;
}): ReactElement {
  return (
    <OnSetup athleteId={athleteId}>
      {(setup, ownRung, asked) => (
        <SetUpFor {...{ setup, asked, ownRung, room, beacons, onSource, onStart }} />
      )}
    </OnSetup>
  );
}

function SetUpFor({
  setup: read,
  asked,
  ownRung,
  room,
  beacons,
  onSource,
  onStart,
}: {
  setup: FloorSetup;
  /** The set-up before its floor is scaled for the rung. */
  asked: FloorSetup;
  ownRung: number;
  room: Room;
  beacons: Beacons;
  onSource: (source: SetSource) => void;
  onStart: (settled: Settled, setup: FloorSetup) => Promise<void>;
}): ReactElement {
  const [kept, keepOnDevice] = useChoices(read.athlete.id);
  const testReps = useTestReps();
  // Watched faults belong to the athlete, not to the device; a standard test is always the same.
  const [ownWatched, setWatched] = useState(read.watched);
  const watched = testReps === null ? ownWatched : [];
  const watch = useWatch();
  const setup = { ...read, watched };
  const choices = { ...kept, conditions: { ...kept.conditions, watched } };
  const keep = (next: DrillChoices) => {
    keepOnDevice(next);
    const faults = [...next.conditions.watched];
    if (testReps !== null || faults.join() === watched.join()) return;
    setWatched(faults);
    watch.mutate({ athleteId: read.athlete.id, watched: faults });
  };
  const [others, setOthers] = useRota();
  const [isShared, setShared] = useSharedPattern();
  const sharedPatternId = isShared ? read.pattern.id : null;
  const hands = useHand();
  const { source } = choices;
  useEffect(() => onSource(source), [source, onSource]);
  const [problem, setProblem] = useState<string | null>(null);
  const seed = useSeed();
  const { athlete, pattern } = setup;
  const rung = rungOf(pattern, setup.rung);
  const colours = colourWords(setup);
  const built = builtWords(setup);
  const conditions = conditionsFor(setup, choices);
  const { faults } = useClub();
  const [open, setOpen] = useState<ChipName | null>(null);
  const chip = (name: ChipName) => ({
    isOpen: open === name,
    onOpen: (isOpen: boolean) => setOpen(isOpen ? name : null),
  });
  const foreseen =
    rung && testReps === null
      ? foresee({
          ...{ rung, conditions, reps: choices.reps, usualMs: read.usualMs },
          eventSdMs: source === 'hand' ? hands.hand.sdMs : source === 'none' ? null : 0,
        })
      : [];
  const words = wordsOfSet({ pattern, conditions }).join(' ');
  // Loaded now: there may be no network later on the floor.
  useEffect(() => void learnWords(words.split(' ')), [words]);

  const splits = repsOf(choices) * choices.sets;
  const { before, goAhead } = useBeforeDrill(asked, splits);
  const fetchSetup = useFetchSetup();

  /** Checks the restrictions of everybody else in the rota; `null` if nobody is stopped. */
  const stoppedOther = async (): Promise<string | null> => {
    for (const id of others) {
      const other = await fetchSetup(id, sharedPatternId);
      const otherBefore = beforeSet(other, splits, localDay(new Date(epochNow())));
      if (isStopped(otherBefore))
        return say('othersMayNot', {
          athlete: other.athlete.name,
          what: commaList(stopLines(otherBefore).map(([rule]) => restrictionWords(rule))),
        });
    }
    return null;
  };

  const start = async (reason = '') => {
    const schedule = scheduleFor(setup, choices, seed);
    if (!schedule.ok) {
      setProblem(problemSentence(schedule.problem));
      return;
    }
    try {
      const stopped = await stoppedOther();
      setProblem(stopped);
      if (stopped !== null) return;
      goAhead(reason);
      const athleteIds = [athlete.id, ...others];
      await onStart({ athleteIds, sharedPatternId, choices, seed, hand: hands.hand }, setup);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };

  return (
    <Page name={say('athleteFloor', { athlete: athlete.name })}>
      <Columns>
        <div>
          <Headline>
            {say(isStopped(before) ? 'notAllOfIt' : 'athleteReadyWhenYou', {
              athlete: athlete.name,
            })}
          </Headline>
          <Notes>
            {testReps !== null && <p>{say('standardTestSameCuesConditionsEvery')}</p>}
            {athlete.note && <p>{athlete.note}</p>}
            {colours && <p>{colours}</p>}
            {built && <Quiet>{built}</Quiet>}
          </Notes>
          <Chips>
            <Chip
              title={CHIP_TITLES.who}
              says={whoWords(pattern, rung, others.length)}
              {...chip('who')}
            >
              <What>
                <PatternPicker pattern={pattern} minded={before.minded} day={before.day} />
                <RungPicker
                  pattern={pattern}
                  own={ownRung}
                  rung={setup.rung}
                  stopped={before.stoppedRungs}
                />
                <WorksOnPart setup={setup} />
              </What>
              <Before>
                <RotaPart
                  athleteId={athlete.id}
                  others={others}
                  onChange={setOthers}
                  isShared={isShared}
                  onShared={setShared}
                />
                <ButtonLink to="/floor">{ANOTHER_ATHLETE}</ButtonLink>
              </Before>
            </Chip>
            <Chip
              title={CHIP_TITLES.cues}
              says={cuesWords(conditions, choices, trialWords(conditions, faults))}
              {...chip('cues')}
            >
              <CuesForm
                setup={setup}
                choices={choices}
                turns={choices.sets * (1 + others.length)}
                seed={seed}
                onChange={keep}
              />
            </Chip>
            <Chip
              title={CHIP_TITLES.timing}
              says={timingWords(source, hands.hand.sdMs)}
              {...chip('timing')}
            >
              <SourcePart
                source={source}
                handSdMs={hands.hand.sdMs}
                onChange={(next) => keep({ ...choices, source: next })}
              />
              {source === 'hand' && <HandPart hands={hands} />}
              {source === 'sensor' && (
                <BeaconsPart beacons={beacons} places={rung?.targets ?? []} />
              )}
            </Chip>
          </Chips>
          <CarePart
            {...{ asked, before }}
            onReps={(reps) =>
              keep({
                ...choices,
                reps,
                sets: 1,
                conditions: { ...choices.conditions, workMs: null },
              })
            }
            onOverrule={(reason) => void start(reason)}
          />
          <ForeseenPart foreseen={foreseen} choices={choices} onChange={keep} />
          <Before>
            <BeforePart {...{ athlete, pattern, others, isShared }} />
            <SecondScreen room={room} means={say('phoneTabletShowsCuesCallsTargets')} />
            {conditions.pace.kind !== 'staircase' && (
              <SoundFile setup={setup} choices={choices} seed={seed} />
            )}
            <EmergencyCard
              name={athlete.name}
              contacts={setup.care.emergency?.contacts ?? []}
              note={setup.care.emergency?.note ?? ''}
            />
          </Before>
          <Care>{say('warmUpFirstKeepFloorClear')}</Care>
          {problem && <Notice>{problem}</Notice>}
          {!isStopped(before) && (
            <StartRow>
              <Button weight="main" autoFocus onPress={() => void start()}>
                <Play size={22} aria-hidden /> {say('startSet')}
              </Button>
            </StartRow>
          )}
        </div>
        <div className="plan">
          <FloorInPlay
            pattern={{ ...pattern, targets: shownTargets(setup) }}
            letters={rung?.targets ?? []}
          />
        </div>
      </Columns>
    </Page>
  );
}
