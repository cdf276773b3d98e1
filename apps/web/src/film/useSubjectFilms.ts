import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useClub } from '../api/club.js';
import {
  filmsOf,
  keepFilm,
  setAngle,
  type FilmAngle,
  type KeptFilm,
} from '../device/film-store.js';
import { useAddress } from '../parts/useAddress.js';
import { KEPT } from './kept-films.js';
import type { FilmSubject } from './subject.js';
import { useFilmFile } from './useKept.js';

/** The films of a set or a pattern, and the open one. */
export interface SubjectFilms {
  /** `undefined` until they are known. */
  readonly kept: readonly KeptFilm[] | undefined;
  /** `undefined` until it is loaded, `null` if there is none. */
  readonly open: { readonly key: string; readonly file: File } | null | undefined;
  /** The kept film that is open. */
  readonly chosen: KeptFilm | undefined;
  readonly choose: (id: string) => void;
  /** Opens a film at once, while it is still being copied to this device. */
  readonly take: (file: File) => void;
  readonly sayAngle: (angle: FilmAngle | null) => void;
  /** The film is still being copied: leaving the page would lose the copy. */
  readonly isKeeping: boolean;
  /** Why the last film could not be kept. */
  readonly notKept: unknown;
}

/** Opens, keeps and switches between the films of a set or a pattern on this device. */
export function useSubjectFilms({ id, review }: FilmSubject): SubjectFilms {
  const { clubId } = useClub();
  const of = { clubId, ...(review ? { setId: id } : { patternId: id }) };
  const client = useQueryClient();
  const [address, change] = useAddress();
  const [fresh, setFresh] = useState<{ file: File; id: string | null } | null>(null);
  const [notKept, setNotKept] = useState<unknown>(null);
  const films = useQuery({
    queryKey: [...KEPT, 'of', id],
    queryFn: () => filmsOf(of),
    staleTime: 0,
  });
  const kept = films.data;
  const chosen =
    kept?.find(({ id }) => id === (fresh ? fresh.id : address.get('film'))) ??
    (fresh ? undefined : kept?.[0]);
  const file = useFilmFile(fresh === null ? (chosen?.id ?? null) : null);
  const again = () => client.invalidateQueries({ queryKey: [...KEPT, 'of'] });
  const take = (taken: File) => {
    setNotKept(null);
    setFresh({ file: taken, id: null });
    keepFilm(of, taken).then(
      async (id) => {
        await again();
        setFresh((now) => (now?.file === taken ? { file: taken, id } : now));
        change({ film: id });
      },
      (error: unknown) => setNotKept(error),
    );
  };
  const openNow = () => {
    if (fresh) return { key: `${fresh.file.name} ${fresh.file.lastModified}`, file: fresh.file };
    if (!kept || (chosen && file.isPending)) return undefined;
    return chosen && file.data ? { key: chosen.id, file: file.data } : null;
  };
  return {
    ...{ kept, chosen, take, notKept },
    open: openNow(),
    isKeeping: fresh?.id === null && notKept === null,
    choose: (id) => {
      setFresh(null);
      change({ film: id });
    },
    sayAngle: (angle) => {
      if (chosen) void setAngle(chosen.id, angle).then(again);
    },
  };
}
