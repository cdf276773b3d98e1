import { TOGETHER_AT, type TogetherAt } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { SelectField } from '../../parts/form/SelectField.js';
import { Quiet } from '../../parts/Text.js';
import { angleWords, say } from '../../words/film.js';
import { dayWords } from '../../words/format.js';
import { Row } from '../Row.js';
import { THIS_FILM, type BesideChoice } from './useBeside.js';

const NOTHING = '';

const AT_WORDS: Readonly<Record<TogetherAt, string>> = {
  cue: say('atCue'),
  firstMove: say('atFirstMove'),
  arrival: say('atArrival'),
  home: say('atHome'),
};

/** Chooses what plays beside the film, and the moment that aligns both. */
export function BesidePart({
  choice,
  openId,
  isMarked,
}: {
  choice: BesideChoice;
  /** The id the film on the desk is kept under, if it is. */
  openId: string | null;
  /** Whether the aligning moment is marked in the rep on the desk. */
  isMarked: boolean;
}): ReactElement {
  const { filmId, films, at, isGone, chooseFilm, chooseAt } = choice;
  return (
    <>
      <Row>
        <div style={{ width: 280 }}>
          <SelectField
            label={say('playBeside')}
            value={filmId ?? NOTHING}
            options={[
              [NOTHING, say('nothingBeside')],
              [THIS_FILM, say('thisFilm')],
              ...films
                .filter(({ id }) => id !== openId)
                .map(
                  ({ id, name, angle, keptAt }) =>
                    [
                      id,
                      say('filmOfDay', {
                        name: angle ? angleWords(angle) : name,
                        day: dayWords(new Date(keptAt).toISOString()),
                      }),
                    ] as const,
                ),
            ]}
            onChange={(id) => chooseFilm(id === NOTHING ? null : id)}
          />
        </div>
        {filmId !== null && (
          <div style={{ width: 180 }}>
            <SelectField
              label={say('togetherAt')}
              value={at}
              options={TOGETHER_AT.map((each) => [each, AT_WORDS[each]] as const)}
              onChange={chooseAt}
            />
          </div>
        )}
      </Row>
      {isGone && <Quiet role="status">{say('besideGone')}</Quiet>}
      {filmId !== null && !isMarked && <Quiet role="status">{say('markHereFirst')}</Quiet>}
    </>
  );
}
