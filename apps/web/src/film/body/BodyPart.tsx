import {
  anglesOver,
  BODY_ANGLES,
  bodyAngles,
  hipHeightAgainst,
  type Body,
  type BodyAngles,
} from '@orthokin/core/film';
import type { PositionName } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import { Button } from '../../parts/Button.js';
import { FiguresTable } from '../../parts/FiguresTable.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { bodyAngleWords, say } from '../../words/film.js';
import { percent } from '../../words/format.js';
import { POSITION_WORDS } from '../../words/position.js';
import type { SeenPosition } from '../positions/seen-positions.js';
import { Row } from '../Row.js';
import type { BodyWork } from './useBody.js';

const TOLD = {
  looking: say('bodyLooking'),
  nobody: say('bodyNobody'),
  idle: null,
  failed: null,
} as const;

/** Hip height is relative to the stance; angles are absolute. */
const angleText = (
  name: keyof BodyAngles,
  angles: BodyAngles,
  stance: BodyAngles | null,
): string => {
  const value = angles[name];
  if (value === null) return '–';
  if (name !== 'hipHeight') return say('degrees', { degrees: Math.round(value) });
  const share = hipHeightAgainst(angles, stance);
  return share === null ? '–' : percent(share);
};

/** The athlete's body: finding, correcting and confirming its landmarks, and the angles between them. */
export function BodyPart({
  work,
  positions,
  loads,
  onFollow,
}: {
  work: BodyWork;
  /** Of the current rep. */
  positions: readonly SeenPosition[];
  /** Confirmed bodies at the load of the set's reps. */
  loads: readonly Body[];
  /** `null` if there is no frame to follow to. */
  onFollow: (() => void) | null;
}): ReactElement {
  const { body, finding, following, isConfirmed } = work;
  return (
    <section style={{ marginTop: 22 }} aria-label={say('theBody')}>
      <Heading>{say('theBody')}</Heading>
      {!work.isOn ? (
        <>
          <Quiet style={{ fontSize: 15 }}>{say('bodyHow')}</Quiet>
          <Row>
            <Button onPress={work.begin}>{say('findBody')}</Button>
          </Row>
        </>
      ) : (
        <>
          <p role="status" style={{ margin: '6px 0' }}>
            {following !== null
              ? say('bodyFollowing', { share: percent(following) })
              : (TOLD[finding] ??
                say(
                  body
                    ? isConfirmed
                      ? 'bodyConfirmed'
                      : 'bodyFound'
                    : work.hips
                      ? 'clickHead'
                      : 'clickHips',
                ))}
          </p>
          {finding === 'failed' && <Notice>{say('bodyFailed')}</Notice>}
          <Row>
            {body && !isConfirmed && (
              <Button weight="main" onPress={work.confirm}>
                {say('bodyRight')}
              </Button>
            )}
            {following !== null ? (
              <Button onPress={work.stop}>{say('stopFollowing')}</Button>
            ) : (
              body && onFollow && <Button onPress={onFollow}>{say('followBody')}</Button>
            )}
            {body && <Button onPress={work.clickAgain}>{say('bodyAgain')}</Button>}
            <Button onPress={work.end}>{say('doneBody')}</Button>
          </Row>
        </>
      )}
      <Angles
        seen={positions.flatMap(({ name, frame }) => {
          const own = work.bodyAt(frame);
          return own ? [{ name, body: own, isConfirmed: frame in work.confirmed }] : [];
        })}
        here={body}
      />
      {loads.length > 1 && <OverReps loads={loads} />}
    </section>
  );
}

/** Angles at the load, over the reps in which the body was confirmed. */
function OverReps({ loads }: { loads: readonly Body[] }): ReactElement {
  const over = anglesOver(loads);
  return (
    <ul style={{ margin: '8px 0', paddingLeft: 20 }}>
      {BODY_ANGLES.flatMap((name) => {
        const angle = over[name];
        return angle && name !== 'hipHeight'
          ? [
              <li key={name}>
                {say('angleOver', {
                  angle: bodyAngleWords(name),
                  median: Math.round(angle.median),
                  least: Math.round(angle.least),
                  most: Math.round(angle.most),
                  reps: angle.of,
                })}
              </li>,
            ]
          : [];
      })}
    </ul>
  );
}

interface SeenBody {
  readonly name: PositionName;
  readonly body: Body;
  readonly isConfirmed: boolean;
}

/** Angles at the rep's positions, and in the current frame. */
function Angles({
  seen,
  here,
}: {
  seen: readonly SeenBody[];
  here: Body | null;
}): ReactElement | null {
  if (seen.length === 0 && !here) return null;
  const standing = seen.find(({ name }) => name === 'stance');
  const stance = standing ? bodyAngles(standing.body) : null;
  const columns = [
    ...seen.map(({ name, body, isConfirmed }) => ({
      words: POSITION_WORDS[name],
      surely: say(isConfirmed ? 'confirmed' : 'notConfirmed'),
      angles: bodyAngles(body),
    })),
    ...(here && seen.every(({ body }) => body !== here)
      ? [{ words: say('thisFrame'), surely: '', angles: bodyAngles(here) }]
      : []),
  ];
  return (
    <div style={{ marginTop: 14 }}>
      <FiguresTable caption={say('bodyAngles')}>
        <thead>
          <tr>
            <th scope="col" />
            {columns.map(({ words, surely }) => (
              <th key={words} scope="col">
                {words}
                <br />
                <small>{surely}</small>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {BODY_ANGLES.map((name) => (
            <tr key={name}>
              <th scope="row">{bodyAngleWords(name)}</th>
              {columns.map(({ words, angles }) => (
                <td key={words}>{angleText(name, angles, stance)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </FiguresTable>
      <Quiet style={{ fontSize: 15 }}>{say('bodyPlane')}</Quiet>
    </div>
  );
}
