import type { ReactElement } from 'react';
import { FILM_ANGLES, type FilmAngle } from '../device/film-store.js';
import { Button } from '../parts/Button.js';
import { SelectField } from '../parts/form/SelectField.js';
import { angleWords, say } from '../words/film.js';
import { timeWords } from '../words/format.js';
import { Row } from './Row.js';
import type { SubjectFilms } from './useSubjectFilms.js';

const NOT_SAID = '';
const ANGLES: readonly (readonly [FilmAngle | typeof NOT_SAID, string])[] = [
  [NOT_SAID, say('angleNotSaid')],
  ...FILM_ANGLES.map((angle) => [angle, angleWords(angle)] as const),
];

/** Chooses between several films; nothing if there is only one. */
export const WhichFilm = ({
  films: { kept = [], chosen, choose },
}: {
  films: SubjectFilms;
}): ReactElement | null =>
  kept.length < 2 ? null : (
    <div style={{ maxWidth: 380 }}>
      <SelectField
        label={say('whichFilm')}
        value={chosen?.id ?? ''}
        options={kept.map(
          ({ id, name, keptAt, angle }) =>
            [
              id,
              say('filmNamed', {
                name: angle ? angleWords(angle) : name,
                time: timeWords(new Date(keptAt).toISOString()),
              }),
            ] as const,
        )}
        onChange={choose}
      />
    </div>
  );

/** Where the film was taken from, and how to get another. */
export const AboutFilm = ({
  films: { chosen, sayAngle },
  onBring,
}: {
  films: SubjectFilms;
  onBring: () => void;
}): ReactElement => (
  <Row>
    {chosen && (
      <SelectField
        label={say('filmedFrom')}
        value={chosen.angle ?? NOT_SAID}
        options={ANGLES}
        onChange={(angle) => sayAngle(angle === NOT_SAID ? null : angle)}
      />
    )}
    <Button onPress={onBring}>{say('anotherFilm')}</Button>
  </Row>
);
