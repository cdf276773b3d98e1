import { useMemo } from 'react';
import { usePattern } from '../api/patterns.js';
import { useSetReview } from '../api/review.js';
import type { FilmOf } from '../device/film-store.js';
import { subjectOfPattern, subjectOfSet, type FilmSubject } from './subject.js';

/** What a kept film shows; `null` until it is loaded, or if it is not available. Does nothing for `null`. */
export function useSubject(of: FilmOf | null): FilmSubject | null {
  const review = useSetReview(of?.setId ?? '', Boolean(of?.setId));
  const pattern = usePattern(of?.patternId ?? '', Boolean(of?.patternId));
  return useMemo(() => {
    if (of?.setId && review.data) return subjectOfSet(review.data);
    return of?.patternId && pattern.data ? subjectOfPattern(pattern.data) : null;
  }, [of?.setId, of?.patternId, review.data, pattern.data]);
}
