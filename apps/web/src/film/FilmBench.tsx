import { useState, type ReactElement, type ReactNode } from 'react';
import { NoRoom } from '../device/film-store.js';
import { Notice } from '../parts/Notice.js';
import { Quiet } from '../parts/Text.js';
import { say } from '../words/film.js';
import { BringFilm } from './BringFilm.js';
import { FilmDesk } from './FilmDesk.js';
import type { FilmSubject } from './subject.js';
import { useSubjectFilms } from './useSubjectFilms.js';
import { AboutFilm, WhichFilm } from './WhichFilm.js';

const MEGA = 1e6;

/** Says why a film could not be kept. */
function whyNotKept(error: unknown): string {
  if (!(error instanceof NoRoom)) return say('cannotKeep');
  const megabytes = (bytes: number) => Math.ceil(bytes / MEGA);
  return say('noRoom', { needed: megabytes(error.needed), left: megabytes(error.left) });
}

/** The films of a set or a pattern: one on its desk, or the ways to bring one in. */
export function FilmBench({
  subject,
  orElse,
}: {
  subject: FilmSubject;
  /** Other ways to get a film, such as simulating one. */
  orElse?: (take: (film: File) => void) => ReactNode;
}): ReactElement {
  const films = useSubjectFilms(subject);
  const [isBringing, setBringing] = useState(false);
  const take = (file: File) => {
    setBringing(false);
    films.take(file);
  };
  return (
    <>
      {films.isKeeping && <Quiet role="status">{say('keepingFilm')}</Quiet>}
      {films.notKept !== null && <Notice>{whyNotKept(films.notKept)}</Notice>}
      {films.open && !isBringing ? (
        <>
          <WhichFilm films={films} />
          <FilmDesk
            key={films.open.key}
            subject={subject}
            file={films.open.file}
            filmId={films.chosen?.id ?? null}
            about={<AboutFilm films={films} onBring={() => setBringing(true)} />}
          />
        </>
      ) : (
        (isBringing || films.open === null) && (
          <>
            <BringFilm onFilm={take} onBack={films.open ? () => setBringing(false) : null} />
            {orElse?.(take)}
          </>
        )
      )}
    </>
  );
}
