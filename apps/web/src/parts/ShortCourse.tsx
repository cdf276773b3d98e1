import type { ShortCourse as Days } from '@orthokin/core/stats';
import type { ReactElement } from 'react';
import { seconds } from '../words/format.js';
import { say } from '../words/parts.js';
import { durationInk } from './phases.js';
import { colour } from './tokens.js';

const [WIDTH, HEIGHT, EDGE] = [216, 40, 8];
/** The least range of the axis, as a share of the time, so that nearly equal days do not look like a trend. */
const LEAST_SHARE = 0.2;

/** An athlete's recent weeks in one duration, a point per day, with their limit. */
export function ShortCourse({ course }: { course: Days }): ReactElement {
  const { duration, limitMs, daysMs } = course;
  const shown = [...daysMs, ...(limitMs === null ? [] : [limitMs])];
  const [least, most] = [Math.min(...shown), Math.max(...shown)];
  const height = Math.max(most - least, LEAST_SHARE * most);
  const top = (least + most + height) / 2;
  const x = (i: number) =>
    daysMs.length < 2 ? WIDTH - EDGE : EDGE + (i * (WIDTH - 2 * EDGE)) / (daysMs.length - 1);
  const y = (ms: number) => EDGE + ((top - ms) / height) * (HEIGHT - 2 * EDGE);
  const ink = durationInk(duration, colour('ink'));
  const [first = 0, last = 0] = [daysMs[0], daysMs.at(-1)];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      style={{ width: '100%', maxWidth: WIDTH, display: 'block' }}
      role="img"
      aria-label={say('shortCourse', {
        ...{ duration, days: daysMs.length, first: seconds(first), last: seconds(last) },
        limit: limitMs === null ? '' : say('shortCourseLimit', { limit: seconds(limitMs) }),
      })}
    >
      {limitMs !== null && (
        <line
          x1={0}
          x2={WIDTH}
          y1={y(limitMs)}
          y2={y(limitMs)}
          stroke={colour('ink')}
          strokeWidth={1.5}
          strokeDasharray="2 4"
        />
      )}
      <polyline
        points={daysMs.map((ms, i) => `${x(i)},${y(ms)}`).join(' ')}
        fill="none"
        stroke={ink}
        strokeOpacity={0.5}
        strokeWidth={2}
      />
      {daysMs.map((ms, i) => (
        <circle key={i} cx={x(i)} cy={y(ms)} r={i === daysMs.length - 1 ? 5 : 2.6} fill={ink} />
      ))}
    </svg>
  );
}
