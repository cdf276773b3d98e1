import { TOGETHER_AT, type TogetherAt } from '@orthokin/core/film';
import { useAddress } from '../../parts/useAddress.js';
import { useFilmFile, useKeptFilms } from '../useKept.js';
import { useSubject } from '../useSubject.js';

/** Value for "another rep of the film on the desk". */
export const THIS_FILM = 'this';

/** What plays beside a film; stored in the address, so that it survives a reload. */
export function useBeside() {
  const [address, change] = useAddress();
  const filmId = address.get('beside');
  const films = useKeptFilms();
  const kept = films.data?.find(({ id }) => id === filmId);
  const isOther = filmId !== null && filmId !== THIS_FILM;
  const file = useFilmFile(isOther ? filmId : null);
  const subject = useSubject(isOther ? (kept ?? null) : null);
  const ordinal = Number(address.get('rep') ?? NaN);
  return {
    filmId,
    films: films.data ?? [],
    /** The other film with its subject; `null` while loading, or if it is not available. */
    other: isOther && file.data && subject ? { file: file.data, subject } : null,
    isGone: isOther && films.data !== undefined && (!kept || file.data === null),
    ordinal: Number.isNaN(ordinal) ? null : ordinal,
    at: TOGETHER_AT.find((each) => each === address.get('at')) ?? 'cue',
    chooseFilm: (id: string | null) => change({ beside: id, rep: null }),
    chooseRep: (to: number) => change({ rep: String(to) }),
    chooseAt: (at: TogetherAt) => change({ at }),
  };
}

/** The chosen film beside. */
export type BesideChoice = ReturnType<typeof useBeside>;
