import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { useClub } from '../api/club.js';
import { filmFile, keptFilms, type KeptFilm } from '../device/film-store.js';
import { KEPT } from './kept-films.js';

/** The club's films on this device, newest first. */
export function useKeptFilms(): UseQueryResult<KeptFilm[]> {
  const { clubId } = useClub();
  return useQuery({
    queryKey: [...KEPT, clubId],
    queryFn: () => keptFilms(clubId),
    staleTime: 0,
  });
}

/** A kept film's file; `null` if it is gone. Does nothing without an id. */
export const useFilmFile = (id: string | null): UseQueryResult<File | null> =>
  useQuery({
    queryKey: [...KEPT, 'file', id],
    queryFn: () => filmFile(id ?? ''),
    enabled: id !== null,
    staleTime: 0,
  });
