import { drawForeperiod, seededRandom } from '@orthokin/core/cue';
import { catcherAfter, catchPairs, type Call, type CatchForm } from '@orthokin/core/plan';
import { useEffect, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { Quiet } from '../../parts/Text.js';
import { planBeep } from '../../sound/audio.js';
import { commaList } from '../../words/format.js';
import { catchWords, reachedWords, say } from '../../words/game.js';
import { Places } from './Places.js';
import { useBoardKeys } from './useBoardKeys.js';

/** A non-ageing wait, so that time gives no hint of the call. */
const WAIT = { kind: 'non-ageing', leastMs: 1500, mostMs: 6000 } as const;
const CALL_HZ = 880;
const GO_ON = { ready: 'callIt', waiting: 'waitForIt', called: 'changeOver' } as const;

const Ways = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin: 0;
  button {
    min-height: 64px;
  }
`;

/** Referees a catching game: the app calls, whoever misses is pressed, and the others step back. */
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
  const goOn = () => {
    if (stage === 'ready' && athleteIds.length > 1) setStage('waiting');
    if (stage === 'called')
      again([...calls, { toCatch: pairs.map(({ catches }) => catches), missed }]);
  };
  useBoardKeys((key) => {
    const pair = pairs[Number(key) - 1];
    if (key === 'c') goOn();
    else if (pair && stage === 'called') toggle(pair.catches);
  });
  const about = (id: string) => ({ name: nameOf(id), cm: catcherAfter(id, calls).distanceCm });
  const tried = [...new Set(calls.flatMap(({ toCatch }) => toCatch))].map((id) =>
    catcherAfter(id, calls),
  );
  return (
    <>
      <Quiet>{catchWords(form)}</Quiet>
      <Places>
        {pairs.map(({ catches, drops }, i) => (
          <section key={catches}>
            {stage === 'called' ? (
              <Button
                weight={missed.includes(catches) ? 'main' : 'plain'}
                aria-pressed={missed.includes(catches)}
                onPress={() => toggle(catches)}
              >
                {say(missed.includes(catches) ? 'didMiss' : 'catchesFrom', about(catches))}
              </Button>
            ) : (
              <strong className="large">{say('catchesFrom', about(catches))}</strong>
            )}
            <span>
              {drops.length > 0 && say('dropsFor', { names: commaList(drops.map(nameOf)) })}{' '}
              <Quiet as="span">{say('missKey', { n: i + 1 })}</Quiet>
            </span>
          </section>
        ))}
      </Places>
      <Ways>
        {stage === 'called' && <span role="status">{say('whoMissed')}</span>}
        <Button
          weight="main"
          isDisabled={stage === 'waiting' || athleteIds.length < 2}
          onPress={goOn}
        >
          {say(GO_ON[stage])}
        </Button>
        <Quiet as="span">{say('callKey')}</Quiet>
        <Button isDisabled={calls.length === 0} onPress={() => again(calls.slice(0, -1))}>
          {say('callBack')}
        </Button>
      </Ways>
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
