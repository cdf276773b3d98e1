import type { PersonReply } from '@orthokin/contract';
import { seededRandom } from '@orthokin/core/cue';
import { MARKER_COLOURS, colourSeen } from '@orthokin/core/floor';
import { colourPairs, readColourTest, type ColourPair } from '@orthokin/core/people';
import { useEffect, useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { useSaveAthlete } from '../api/people.js';
import { Button } from '../parts/Button.js';
import { Notice } from '../parts/Notice.js';
import { MarkerShapeAt } from '../parts/plan/Marker.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { commaList } from '../words/format.js';
import { COLOUR_WORDS, say } from '../words/people.js';
import { OnAthlete } from './OnAthlete.js';
import { bodyOf } from './person-body.js';

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  margin: 20px 0;
  button {
    min-width: 170px;
    min-height: 64px;
    font-size: 20px;
  }
`;

const newSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;

/** Tests which marker colours somebody can tell apart, with the markers themselves. */
export const ColourTestPage = (): ReactElement => (
  <OnAthlete>{(person) => <Test key={person.id} person={person} />}</OnAthlete>
);

function Test({ person }: { person: PersonReply }) {
  const [pairs, setPairs] = useState(() => colourPairs(seededRandom(newSeed())));
  const [answers, setAnswers] = useState<readonly boolean[]>([]);
  const pair = pairs[answers.length];
  const again = () => {
    setPairs(colourPairs(seededRandom(newSeed())));
    setAnswers([]);
  };
  return (
    <Page name={say('colourTest')}>
      <Quiet>
        <Link to={`/people/${person.id}`}>{person.name}</Link>
      </Quiet>
      <Headline style={{ margin: '4px 0 8px' }}>
        {say('colourTestOf', { name: person.name })}
      </Headline>
      {pair ? (
        <Asking
          pair={pair}
          n={answers.length + 1}
          of={pairs.length}
          onAnswer={(apart) => setAnswers([...answers, apart])}
        />
      ) : (
        <Result person={person} pairs={pairs} answers={answers} onAgain={again} />
      )}
    </Page>
  );
}

function Asking({
  pair,
  n,
  of,
  onAnswer,
}: {
  pair: ColourPair;
  n: number;
  of: number;
  onAnswer: (apart: boolean) => void;
}) {
  useEffect(() => {
    const press = ({ key, repeat }: KeyboardEvent) => {
      if (!repeat && (key === 'ArrowLeft' || key === 'ArrowRight')) onAnswer(key === 'ArrowRight');
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [onAnswer]);
  return (
    <>
      <Quiet style={{ maxWidth: '66ch' }}>{say('colourTestMeans')}</Quiet>
      <svg
        viewBox="-4 -1.7 8 3.4"
        role="img"
        aria-label={say('twoMarkers')}
        style={{ display: 'block', width: 'min(560px, 100%)', marginTop: 18 }}
      >
        <rect x={-4} y={-1.7} width={8} height={3.4} fill={colour('floor')} />
        {pair.map((shown, i) => (
          <MarkerShapeAt
            // A pair may contain one colour twice, so the index tells them apart.
            key={i}
            target={{ letter: '', shape: 'circle', colour: shown }}
            x={i === 0 ? -1.8 : 1.8}
            size={1.2}
          />
        ))}
      </svg>
      <Ways>
        <Button onPress={() => onAnswer(false)}>← {say('theSame')}</Button>
        <Button onPress={() => onAnswer(true)}>{say('twoColours')} →</Button>
      </Ways>
      <Quiet role="status">{say('pairOf', { n, of })}</Quiet>
    </>
  );
}

function Result({
  person,
  pairs,
  answers,
  onAgain,
}: {
  person: PersonReply;
  pairs: readonly ColourPair[];
  answers: readonly boolean[];
  onAgain: () => void;
}) {
  const navigate = useNavigate();
  const save = useSaveAthlete();
  const { vision, isUnsure } = readColourTest(pairs, answers);
  const markers = MARKER_COLOURS.filter((one) => colourSeen(one, vision));
  return (
    <div role="status">
      {isUnsure ? (
        <p>{say('testUnsure')}</p>
      ) : (
        <p>
          {say('testSays', { colours: COLOUR_WORDS[vision] })}{' '}
          {say('testMarkers', { name: person.name, markers: commaList(markers) })}
        </p>
      )}
      {save.error && <Notice>{save.error.message}</Notice>}
      <Ways>
        {!isUnsure && (
          <Button
            weight="main"
            isDisabled={save.isPending}
            onPress={() =>
              save.mutate(
                { athleteId: person.id, body: { ...bodyOf(person), colourVision: vision } },
                { onSuccess: () => void navigate(`/people/${person.id}`) },
              )
            }
          >
            {say('keepResult')}
          </Button>
        )}
        <Button onPress={onAgain}>{say('tryAgain')}</Button>
      </Ways>
    </div>
  );
}
