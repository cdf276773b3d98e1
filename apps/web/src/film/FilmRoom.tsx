import type { SetReviewReply } from '@orthokin/contract';
import { onScale } from '@orthokin/core/footwork';
import { rungOf } from '@orthokin/core/pattern';
import { agreementOn, isUnderAge } from '@orthokin/core/people';
import { useMemo, useState, type ReactElement } from 'react';
import { DropZone, FileTrigger, type DropZoneProps } from 'react-aria-components';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useAthleteCare } from '../api/care.js';
import { NotThere } from '../api/client.js';
import { useSetReview } from '../api/review.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { SelectField } from '../parts/form/SelectField.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { cueBeep } from '../screens/sounds.js';
import { say } from '../words/film.js';
import { dayWords, percent } from '../words/format.js';
import { FilmDesk } from './FilmDesk.js';
import { NoRoom } from '../device/film-store.js';
import { AboutFilm, WhichFilm } from './FilmsOfSet.js';
import { useSetFilms } from './useSetFilms.js';
import { calledReps } from './mark/marks.js';
import type { SimulatedCamera } from './simulate/film-maker.worker.js';
import { useFilmMaker } from './simulate/useFilmMaker.js';

const Drop = styled(DropZone)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  max-width: 640px;
  margin: 18px 0;
  padding: 28px;
  border: 2px dashed ${colour('rule')};
  border-radius: 6px;
  &[data-drop-target] {
    border-color: ${colour('ink')};
  }
`;

const MEGA = 1e6;
/** How the simulated athlete can be filmed. */
const CAMERAS = {
  usual: { framesPerS: 60, slowed: 1, uneven: false },
  slow: { framesPerS: 30, slowed: 1, uneven: false },
  quick: { framesPerS: 120, slowed: 1, uneven: false },
  slowMotion: { framesPerS: 120, slowed: 4, uneven: false },
  lying: { framesPerS: 120, slowed: 2, uneven: false, saysPerS: 240 },
  knocked: { framesPerS: 60, slowed: 1, uneven: false, knockedPx: 14 },
  uneven: { framesPerS: 60, slowed: 1, uneven: true },
} as const satisfies Record<string, SimulatedCamera>;
type CameraName = keyof typeof CAMERAS;

const CAMERA_WORDS: readonly (readonly [CameraName, string])[] = [
  ['usual', say('cameraUsual')],
  ['slow', say('cameraSlow')],
  ['quick', say('cameraQuick')],
  ['slowMotion', say('cameraSlowMotion')],
  ['lying', say('cameraLying')],
  ['knocked', say('cameraKnocked')],
  ['uneven', say('cameraUneven')],
];

/** The film of one set. */
export function FilmRoom(): ReactElement {
  const { setId = '' } = useParams();
  const review = useSetReview(setId, true);
  if (review.data) return <Room key={setId} review={review.data} />;
  return (
    <Page name={say('film')}>
      {review.error instanceof NotThere ? (
        <Notice action={<Button onPress={() => void review.refetch()}>{say('lookForSet')}</Button>}>
          {say('setNotHere')}
        </Notice>
      ) : review.error ? (
        <Failed error={review.error} again={() => void review.refetch()} />
      ) : (
        <Quiet>{say('readingSet')}</Quiet>
      )}
    </Page>
  );
}

/** Why a film could not be kept, in words. */
function whyNotKept(error: unknown): string {
  if (!(error instanceof NoRoom)) return say('cannotKeep');
  const megabytes = (bytes: number) => Math.ceil(bytes / MEGA);
  return say('noRoom', { needed: megabytes(error.needed), left: megabytes(error.left) });
}

/** Whether a guardian's agreement to film is missing on the day of the set. */
function useLacksAgreement({ athlete, set }: SetReviewReply): boolean {
  const care = useAthleteCare(athlete.id);
  if (!care.data) return false;
  const { said, bornOn } = care.data;
  const agreements = said.flatMap(({ agreement }) => agreement ?? []);
  const underAge = isUnderAge(athlete.ageBand, bornOn, set.day);
  const { state } = agreementOn('filming', agreements, underAge, set.day);
  return state === 'missing' || state === 'ran out';
}

function Room({ review }: { review: SetReviewReply }): ReactElement {
  const { set, athlete, pattern } = review;
  const films = useSetFilms(set.id);
  const [isBringing, setBringing] = useState(false);
  const [camera, setCamera] = useState<CameraName>('usual');
  const lacksAgreement = useLacksAgreement(review);
  const take = (file: File) => {
    setBringing(false);
    films.take(file);
  };
  const scale = rungOf(pattern, set.rung)?.floorScale ?? 1;
  const floor = useMemo(() => onScale(pattern, scale), [pattern, scale]);
  const maker = useFilmMaker(take);
  const simulate = () => {
    const reps = calledReps(review);
    maker.make({
      set: {
        seed: set.seed,
        targets: floor.targets,
        cues: reps.map(({ ordinal, target, cue }) => ({ ordinal, target, atMs: cue.atMs })),
      },
      // A cue that was spoken has no tone: nothing is heard of it.
      tonesHz: reps.map(
        ({ target }) => cueBeep({ pattern, conditions: set.conditions }, target)?.hz ?? 0,
      ),
      camera: CAMERAS[camera],
    });
  };
  const drop = async ({ items }: Parameters<NonNullable<DropZoneProps['onDrop']>>[0]) => {
    for (const item of items) if (item.kind === 'file') take(await item.getFile());
  };
  return (
    <Page name={say('filmOf', { athlete: athlete.name })}>
      <Quiet style={{ marginBottom: 10 }}>
        <Link to={`/people/${athlete.id}`}>{athlete.name}</Link>,{' '}
        <Link to={`/review/${set.id}`}>
          {say('setOn', { pattern: pattern.name, rung: set.rung, day: dayWords(set.startedAt) })}
        </Link>
      </Quiet>
      {lacksAgreement && (
        <Notice action={<ButtonLink to={`/people/${athlete.id}`}>{say('writeDown')}</ButtonLink>}>
          {say('noAgreement', { athlete: athlete.name })}
        </Notice>
      )}
      {films.isKeeping && <Quiet role="status">{say('keepingFilm')}</Quiet>}
      {films.notKept !== null && <Notice>{whyNotKept(films.notKept)}</Notice>}
      {films.open && !isBringing ? (
        <>
          <WhichFilm films={films} />
          <FilmDesk
            key={films.open.key}
            {...{ review, floor }}
            file={films.open.file}
            filmId={films.chosen?.id ?? null}
          />
          <AboutFilm films={films} onBring={() => setBringing(true)} />
        </>
      ) : (
        (isBringing || films.open === null) && (
          <>
            <Headline>{say('bringFilm')}</Headline>
            <Drop onDrop={(event) => void drop(event)}>
              <FileTrigger
                acceptedFileTypes={['video/*']}
                allowsMultiple
                onSelect={(files) => {
                  for (const file of files ?? []) take(file);
                }}
              >
                <Button weight="main">{say('chooseFilm')}</Button>
              </FileTrigger>
              <Quiet as="span">{say('orDrop')}</Quiet>
            </Drop>
            <Quiet>{say('staysHere')}</Quiet>
            {films.open && (
              <p>
                <Button onPress={() => setBringing(false)}>{say('backToFilm')}</Button>
              </p>
            )}
            <Quiet style={{ margin: '24px 0 10px' }}>{say('tryWithout')}</Quiet>
            <div style={{ maxWidth: 320, marginBottom: 10 }}>
              <SelectField
                label={say('filmedWith')}
                value={camera}
                options={CAMERA_WORDS}
                onChange={setCamera}
              />
            </div>
            <Button isDisabled={maker.share !== null} onPress={simulate}>
              {maker.share === null
                ? say('filmSimulated')
                : say('filming', { share: percent(maker.share) })}
            </Button>
            {maker.failed && <Notice>{say('couldNotFilm', { why: maker.failed })}</Notice>}
          </>
        )
      )}
    </Page>
  );
}
