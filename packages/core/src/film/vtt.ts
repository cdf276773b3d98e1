/** A marked moment of a recording. */
export interface VttMark {
  /** On the recording's clock, ms. */
  readonly atMs: number;
  readonly words: string;
}

/** How long a mark is shown, unless the next comes sooner, ms. */
const SHOWN_MS = 600;
const [HOUR, MINUTE, SECOND] = [3_600_000, 60_000, 1000];

const two = (value: number): string => String(Math.floor(value)).padStart(2, '0');

/** A time as WebVTT writes it: `hh:mm:ss.mmm`. */
export function vttTime(ms: number): string {
  const whole = Math.max(0, Math.round(ms));
  const rest = String(whole % SECOND).padStart(3, '0');
  return `${two(whole / HOUR)}:${two((whole % HOUR) / MINUTE)}:${two((whole % MINUTE) / SECOND)}.${rest}`;
}

/** Removes what would end a cue, or be parsed as a tag. */
const plain = (words: string): string =>
  words.replace(/\s+/g, ' ').replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

/**
 * Marks as a WebVTT file, which players show over the film. https://www.w3.org/TR/webvtt1/
 *
 * @example marksVtt([{ atMs: 1500, words: 'cue A' }]).split('\n')[2] // '00:00:01.500 --> 00:00:02.100'
 */
export function marksVtt(marks: readonly VttMark[]): string {
  const inOrder = [...marks].sort((a, b) => a.atMs - b.atMs);
  const cues = inOrder.map(({ atMs, words }, i) => {
    const next = inOrder[i + 1]?.atMs ?? Infinity;
    const until = Math.max(atMs + 1, Math.min(atMs + SHOWN_MS, next));
    return `${vttTime(atMs)} --> ${vttTime(until)}\n${plain(words)}\n`;
  });
  return `WEBVTT\n\n${cues.join('\n')}`;
}
