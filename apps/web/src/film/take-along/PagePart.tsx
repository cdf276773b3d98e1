import type { Drawn } from '@orthokin/core/film';
import { SEEN_FAULTS, type Fault } from '@orthokin/core/timing';
import { FileText } from 'lucide-react';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { useClub } from '../../api/club.js';
import { Button } from '../../parts/Button.js';
import { download, fileName } from '../../parts/download.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { faultWords, namedFaults } from '../../words/fault.js';
import { fromCue, say } from '../../words/film.js';
import { POSITION_WORDS } from '../../words/position.js';
import type { SeenPosition } from '../positions/seen-positions.js';
import { Row } from '../Row.js';
import type { Film } from '../read/useFilm.js';
import { pageOf } from './draw-page.js';

const STILL_PX = 480;
/** A page has room for two stills and two corrections. */
const MOST = 2;
const NONE = 'none';

/** Makes a page for the athlete: two stills with their drawings, and two corrections. */
export function PagePart({
  film: { ask, page, info },
  seen,
  seenFaults,
  drawnAt,
  fromCueMs,
  title,
}: {
  film: Film;
  seen: readonly SeenPosition[];
  /** Faults of this rep, suggested as corrections. */
  seenFaults: readonly Fault[];
  drawnAt: (frame: number) => readonly Drawn[];
  fromCueMs: (frame: number) => number;
  title: string;
}): ReactElement {
  const { faults: own } = useClub();
  const [chosen, choose] = useState<readonly (string | null)[]>([null, null]);
  const [mends, setMends] = useState<readonly (Fault | null | undefined)[]>([]);
  const wanted = useRef<((pictures: readonly ImageBitmap[]) => void) | null>(null);
  const usual = [seen.find(({ name }) => name === 'load'), ...seen]
    .filter((each) => each !== undefined)
    .filter((each, i, all) => all.indexOf(each) === i);
  const stills = Array.from({ length: Math.min(MOST, seen.length) }, (_, i) => {
    const named = seen.find(({ name }) => name === chosen[i]);
    return named ?? usual[i];
  }).filter((each) => each !== undefined);
  const named = seenFaults.filter((fault) => fault !== 'missed' && SEEN_FAULTS.includes(fault));
  const corrections = Array.from({ length: MOST }, (_, i) =>
    mends[i] === undefined ? (named[i] ?? null) : mends[i],
  );
  useEffect(() => {
    if (page.length === 0 || !wanted.current) return;
    wanted.current(page);
    wanted.current = null;
  }, [page]);
  const make = () => {
    wanted.current = (pictures) => {
      const said = corrections.flatMap((fault) => (fault ? [faultWords(fault, own)] : []));
      void pageOf(
        title,
        stills.flatMap(({ name, frame }, i) => {
          const picture = pictures[i];
          return picture
            ? [
                {
                  picture,
                  caption: `${POSITION_WORDS[name]} ${fromCue(fromCueMs(frame))} s`,
                  drawn: drawnAt(frame),
                  scale: picture.height / (info?.heightPx ?? picture.height),
                },
              ]
            : [];
        }),
        said,
      ).then((made) => download(fileName(say('pageFor', { title }), 'png'), made));
    };
    ask({
      ...{ ask: 'pictures', of: 'page', heightPx: STILL_PX },
      indices: stills.map(({ frame }) => frame),
    });
  };
  const faults = namedFaults(own).filter((fault) => fault !== 'missed');
  return (
    <section style={{ marginTop: 22 }} aria-label={say('athletesPage')}>
      <Heading>{say('athletesPage')}</Heading>
      {seen.length < MOST ? (
        <Quiet style={{ fontSize: 15 }}>{say('markForPage')}</Quiet>
      ) : (
        <>
          <Row>
            {stills.map(({ name }, i) => (
              <div key={i} style={{ width: 150 }}>
                <SelectField
                  label={say('stillN', { n: i + 1 })}
                  value={name}
                  options={seen.map((each) => [each.name, POSITION_WORDS[each.name]] as const)}
                  onChange={(position) =>
                    choose(chosen.map((each, at) => (at === i ? position : each)))
                  }
                />
              </div>
            ))}
          </Row>
          <Row>
            {corrections.map((fault, i) => (
              <div key={i} style={{ width: 210 }}>
                <SelectField
                  label={say('correctionN', { n: i + 1 })}
                  value={fault ?? NONE}
                  options={[
                    [NONE, say('noCorrection')],
                    ...faults.map((each) => [each, faultWords(each, own).name] as const),
                  ]}
                  onChange={(given) => {
                    const to = faults.find((each) => each === given) ?? null;
                    setMends(corrections.map((each, at) => (at === i ? to : each)));
                  }}
                />
              </div>
            ))}
          </Row>
          <Row>
            <Button onPress={make}>
              <FileText size={18} aria-hidden /> {say('takePage')}
            </Button>
          </Row>
        </>
      )}
    </section>
  );
}
