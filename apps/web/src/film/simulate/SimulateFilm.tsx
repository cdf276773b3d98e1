import { HIGH_CAMERA, LOW_CAMERA } from '@orthokin/core/film';
import { useState, type ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/film.js';
import { percent } from '../../words/format.js';
import type { FilmSubject } from '../subject.js';
import { hasShippedFilm } from './demo-film.js';
import type { SimulatedCamera } from './film-maker.worker.js';
import { useFilmMaker } from './useFilmMaker.js';

/** Cameras the simulated athlete can be filmed with. */
const CAMERAS = {
  usual: { framesPerS: 60, slowed: 1, uneven: false },
  slow: { framesPerS: 30, slowed: 1, uneven: false },
  quick: { framesPerS: 120, slowed: 1, uneven: false },
  slowMotion: { framesPerS: 120, slowed: 4, uneven: false },
  lying: { framesPerS: 120, slowed: 2, uneven: false, saysPerS: 240 },
  knocked: { framesPerS: 60, slowed: 1, uneven: false, knockedPx: 14 },
  uneven: { framesPerS: 60, slowed: 1, uneven: true },
  high: { framesPerS: 60, slowed: 1, uneven: false, stands: HIGH_CAMERA },
  low: { framesPerS: 60, slowed: 1, uneven: false, stands: LOW_CAMERA },
  held: { framesPerS: 60, slowed: 1, uneven: false, sways: 0.02 },
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
  ['high', say('cameraHigh')],
  ['low', say('cameraLow')],
  ['held', say('cameraHeld')],
];

/** Films the simulated athlete running the set, so that the film room can be tried without a camera. */
export function SimulateFilm({
  subject: { floor, reps, cueHz },
  seed,
  onFilm,
}: {
  subject: FilmSubject;
  seed: number;
  onFilm: (film: File) => void;
}): ReactElement {
  const [camera, setCamera] = useState<CameraName>('usual');
  const maker = useFilmMaker(onFilm);
  const simulate = () => {
    const set = {
      ...{ seed, targets: floor.targets },
      cues: reps.map(({ ordinal, target, cue }) => ({ ordinal, target, atMs: cue.atMs })),
    };
    // A spoken cue has no tone that could be found in the sound.
    const tonesHz = cueHz.map((hz) => hz ?? 0);
    const order = { set, tonesHz, camera: CAMERAS[camera] };
    if (camera === 'usual' && hasShippedFilm(set)) maker.bring(order);
    else maker.make(order);
  };
  return (
    <>
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
  );
}
