import { TOGETHER_AT, type TogetherAt } from '@orthokin/core/film';
import { useQuery } from '@tanstack/react-query';
import { useClub } from '../../api/club.js';
import { useSetReview } from '../../api/review.js';
import { filmFile, keptFilms } from '../../device/film-store.js';
import { useAddress } from '../../parts/useAddress.js';
import { KEPT } from '../kept-films.js';

/** The film on the desk itself, another rep of which is played beside the first. */
export const THIS_FILM = 'this';

/** What is played beside a film: chosen in the address, so that it is there again after a reload. */
export function useBeside(setId: string) {
  const { clubId } = useClub();
  const [address, change] = useAddress();
  const filmId = address.get('beside');
  const films = useQuery({
    queryKey: [...KEPT, clubId],
    queryFn: () => keptFilms(clubId),
    staleTime: 0,
  });
  const kept = films.data?.find(({ id }) => id === filmId);
  const isOther = filmId !== null && filmId !== THIS_FILM;
  const file = useQuery({
    queryKey: [...KEPT, 'file', filmId],
    queryFn: () => filmFile(filmId ?? ''),
    enabled: isOther,
    staleTime: 0,
  });
  const review = useSetReview(kept?.setId ?? setId, isOther && kept !== undefined);
  const ordinal = Number(address.get('rep') ?? NaN);
  return {
    filmId,
    films: films.data ?? [],
    /** The other film with its set; `null` while it is read, or where it is not there. */
    other: isOther && file.data && review.data ? { file: file.data, review: review.data } : null,
    isGone: isOther && films.data !== undefined && (!kept || file.data === null),
    ordinal: Number.isNaN(ordinal) ? null : ordinal,
    at: TOGETHER_AT.find((each) => each === address.get('at')) ?? 'cue',
    chooseFilm: (id: string | null) => change({ beside: id, rep: null }),
    chooseRep: (to: number) => change({ rep: String(to) }),
    chooseAt: (at: TogetherAt) => change({ at }),
  };
}

/** What is chosen to be played beside a film. */
export type BesideChoice = ReturnType<typeof useBeside>;
