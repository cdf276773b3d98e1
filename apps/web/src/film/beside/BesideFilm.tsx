import {
  filmTogether,
  frameTogether,
  type Alignment,
  type FilmTogether,
  type Marks,
  type TogetherAt,
} from '@orthokin/core/film';
import { useEffect, useMemo, type ReactElement, type ReactNode } from 'react';
import styled from 'styled-components';
import { SelectField } from '../../parts/form/SelectField.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/film.js';
import { filmKeyOf } from '../film-key.js';
import type { CalledRep } from '../mark/marks.js';
import { useMarking } from '../mark/useMarking.js';
import { useFilm, type Film } from '../read/useFilm.js';
import type { FilmSubject } from '../subject.js';
import { useTie } from '../tie/useTie.js';
import { TieNote } from '../tie/TieNote.js';

const Shown = styled.div`
  canvas {
    display: block;
    width: 100%;
    border: 1.5px solid ${colour('rule')};
    background: ${colour('rule')};
  }
`;

interface OfDesk {
  /** The rep on the desk; by default another one to the same target is shown beside it. */
  rep: CalledRep | undefined;
  /** The current frame on the desk. */
  frame: number;
  /** The film on the desk; `null` if the common moment is not marked in it. */
  together: FilmTogether | null;
}

interface Followed {
  subject: FilmSubject;
  file: Blob;
  desk: OfDesk;
  ordinal: number | null;
  at: TogetherAt;
  onRep: (ordinal: number) => void;
}

/** Another rep of the film on the desk, by the tie and the marks being made there. */
export function BesideSame({
  tie,
  marks,
  ...followed
}: Followed & { tie: Alignment | null; marks: Marks }): ReactElement {
  const film = useFilm(followed.file);
  return <Follows {...followed} {...{ film, marks }} alignment={tie} />;
}

/** A rep of another film, by its stored marks. */
export function BesideOther(followed: Followed): ReactElement {
  const { subject, file } = followed;
  const film = useFilm(file);
  const filmKey = filmKeyOf(subject.id, file);
  const { marks } = useMarking(filmKey);
  const { alignment } = useTie(filmKey, subject, film, marks);
  const isHeard = subject.review === null || film.heard !== undefined;
  const isRead = isHeard && !film.unreadable;
  return (
    <Follows {...followed} {...{ film, marks, alignment }}>
      {!isRead ? (
        <TieNote
          {...film}
          alignment={null}
          cues={subject.reps.length}
          marked={0}
          isByHand={false}
          slowed={null}
        />
      ) : (
        !alignment && <Quiet role="status">{say('besideNotTied')}</Quiet>
      )}
    </Follows>
  );
}

/** A rep that follows the one on the desk, in capture time. */
function Follows({
  subject: { name, reps },
  film,
  marks,
  alignment,
  desk,
  ordinal,
  at,
  onRep,
  children,
}: Followed & {
  film: Film;
  marks: Marks;
  alignment: Alignment | null;
  children?: ReactNode;
}): ReactElement {
  const { info, ask, onScreen } = film;
  const framesMs = useMemo(() => info?.framesMs ?? [], [info]);
  const rep =
    reps.find((each) => each.ordinal === ordinal) ??
    reps.find(({ target, id }) => target === desk.rep?.target && id !== desk.rep.id) ??
    reps[0];
  const there = rep && alignment && info ? filmTogether(rep, marks, framesMs, alignment, at) : null;
  const index = desk.together && there ? frameTogether(desk.frame, desk.together, there) : null;
  useEffect(() => {
    if (index !== null) ask({ ask: 'show', index });
  }, [ask, index]);
  return (
    <Shown data-beside>
      <canvas ref={onScreen} aria-hidden />
      {rep && (
        <>
          <Quiet style={{ fontSize: 15 }}>
            {say('besideOf', {
              athlete: name,
              ordinal: rep.ordinal,
              letter: rep.target,
            })}
          </Quiet>
          <div style={{ maxWidth: 200 }}>
            <SelectField
              label={say('whichRep')}
              value={String(rep.ordinal)}
              options={reps.map((each) => [
                String(each.ordinal),
                say('repTo', { ordinal: each.ordinal, letter: each.target }),
              ])}
              onChange={(to) => onRep(Number(to))}
            />
          </div>
        </>
      )}
      {children}
      {desk.together && info && alignment && !there && (
        <Quiet role="status">{say('markThereFirst')}</Quiet>
      )}
    </Shown>
  );
}
