import { drawForeperiod, seededRandom } from '@orthokin/core/cue';
import { catcherAfter, catchPairs, type Call } from '@orthokin/core/plan';
import { useEffect, useState, type ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { Quiet } from '../../parts/Text.js';
import { planBeep } from '../../sound/audio.js';
import { commaList } from '../../words/format.js';
import { catchWords, reachedWords, say, type CatchForm } from '../../words/game.js';
import { Places } from './Places.js';

/** As time passes it says nothing about when the call comes. */
const WAIT = { kind: 'non-ageing', leastMs: 1500, mostMs: 6000 } as const;
const CALL_HZ = 880;

/** A game of catching with the app as its referee: it calls, whoever missed is pressed, all others step back. */
export function CallAndCatch({
  form,
  athleteIds,
  calls,
  nameOf,
  onChange,
}: {
  form: CatchForm;
  athleteIds: readonly string[];
  calls: readonly Call[];
  nameOf: (athleteId: string) => string;
  onChange: (calls: readonly Call[]) => void;
}): ReactElement {
  const [stage, setStage] = useState<'ready' | 'waiting' | 'called'>('ready');
  const [missed, setMissed] = useState<readonly string[]>([]);
  useEffect(() => {
    if (stage !== 'waiting') return;
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;
    const timer = setTimeout(
      () => {
        planBeep({ hz: CALL_HZ, lengthS: 0.2, level: 0.6 }, performance.now() + 20);
        setStage('called');
      },
      drawForeperiod(WAIT, seededRandom(seed)),
    );
    return () => clearTimeout(timer);
  }, [stage]);
  const pairs = catchPairs(athleteIds, calls.length);
  const again = (next: readonly Call[]) => {
    onChange(next);
    setMissed([]);
    setStage('ready');
  };
  const toggle = (id: string) =>
    setMissed(missed.includes(id) ? missed.filter((one) => one !== id) : [...missed, id]);
  const tried = [...new Set(calls.flatMap(({ toCatch }) => toCatch))].map((id) =>
    catcherAfter(id, calls),
  );
  return (
    <>
      <Quiet>{catchWords(form)}</Quiet>
      <Places>
        {pairs.map(({ catches, drops }) => (
          <section key={catches}>
            <Button
              aria-pressed={missed.includes(catches)}
              isDisabled={stage !== 'called'}
              onPress={() => toggle(catches)}
            >
              {say('catchesFrom', {
                name: nameOf(catches),
                cm: catcherAfter(catches, calls).distanceCm,
              })}
            </Button>
            {drops.length > 0 && (
              <span>{say('dropsFor', { names: commaList(drops.map(nameOf)) })}</span>
            )}
          </section>
        ))}
      </Places>
      <p style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 10, margin: 0 }}>
        {stage === 'called' ? (
          <>
            <span role="status">{say('whoMissed')}</span>
            <Button
              weight="main"
              onPress={() =>
                again([...calls, { toCatch: pairs.map(({ catches }) => catches), missed }])
              }
            >
              {say('changeOver')}
            </Button>
          </>
        ) : (
          <Button
            weight="main"
            isDisabled={stage === 'waiting' || athleteIds.length < 2}
            onPress={() => setStage('waiting')}
          >
            {say(stage === 'waiting' ? 'waitForIt' : 'callIt')}
          </Button>
        )}
        <Button isDisabled={calls.length === 0} onPress={() => again(calls.slice(0, -1))}>
          {say('callBack')}
        </Button>
      </p>
      {tried.length > 0 && (
        <Quiet role="status">
          {say('farthest', {
            all: reachedWords(
              tried.map(({ athleteId, bestCm }) => ({ name: nameOf(athleteId), count: bestCm })),
              { game: form },
            ),
          })}
        </Quiet>
      )}
    </>
  );
}
