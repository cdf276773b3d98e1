import { ok, wrong, type Result } from '../result/index.js';

/** Units that lengths are shown and typed in; kept in metres. */
export const LENGTH_UNITS = ['metres', 'feet'] as const;
/** What lengths are shown and typed in; they are always kept in metres. */
export type LengthUnit = (typeof LENGTH_UNITS)[number];

/** By international definition. */
const INCH_M = 0.0254;
const FOOT_IN = 12;

/**
 * A length as it is shown: "2.35 m" to the centimetre, or 7′ 9″ to the inch.
 *
 * @example
 * lengthWords(2.35, 'metres'); // '2.35 m'
 */
export function lengthWords(metres: number, unit: LengthUnit): string {
  if (unit === 'metres') return `${metres.toFixed(2).replace('-', '−')} m`;
  const inches = Math.round(Math.abs(metres) / INCH_M);
  const sign = metres < 0 && inches > 0 ? '−' : '';
  return `${sign}${Math.floor(inches / FOOT_IN)}′ ${inches % FOOT_IN}″`;
}

const METRIC = /^([-−]?\d*[.,]?\d+)\s*(m|cm)?$/;
const IMPERIAL =
  /^([-−])?(?:(\d+(?:\.\d+)?)\s*(?:′|'|ft|foot|feet))?\s*(?:(\d+(?:\.\d+)?)\s*(?:″|"|''|in|inch|inches))?$/;

const numberOf = (text: string): number => Number(text.replace('−', '-').replace(',', '.'));

/**
 * A typed length in metres. Understands 2.35, 2.35 m, 235 cm, 7' 9", 7 ft 9 in and 93 in; a bare
 * number is in the unit given. Anything else is a problem that says so.
 *
 * @example
 * parseLength('235 cm', 'feet').value; // 2.35
 */
export function parseLength(text: string, unit: LengthUnit): Result<number> {
  const typed = text.trim().toLowerCase();
  const metric = METRIC.exec(typed);
  if (metric) {
    const value = numberOf(metric[1] ?? '');
    if (metric[2] === 'm') return ok(value);
    if (metric[2] === 'cm') return ok(value / 100);
    return ok(unit === 'metres' ? value : value * FOOT_IN * INCH_M);
  }
  const imperial = IMPERIAL.exec(typed);
  if (imperial && typed !== '' && (imperial[2] ?? imperial[3]) !== undefined) {
    const inches = Number(imperial[2] ?? 0) * FOOT_IN + Number(imperial[3] ?? 0);
    return ok((imperial[1] ? -1 : 1) * inches * INCH_M);
  }
  return wrong('length', text || 'nothing', 'a length like 2.35 m, 235 cm or 7\' 9"');
}
