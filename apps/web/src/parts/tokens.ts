import type { MarkerColour } from '@orthokin/core/floor';

/** A theme's colours. Every colour in the interface is one of these, a phase's or a marker's. */
interface Theme {
  readonly paper: string;
  readonly raised: string;
  readonly ink: string;
  readonly quiet: string;
  readonly rule: string;
  readonly floor: string;
  readonly floorLine: string;
  readonly board: string;
  readonly accent: string;
  readonly onAccent: string;
  readonly good: string;
  readonly bad: string;
  /** The focus ring. */
  readonly focus: string;
  /** A second series of points beside those in ink. */
  readonly second: string;
  /** The current place, line or moment. */
  readonly here: string;
  /** White in both themes: printed paper, a letter on a phase's colour. */
  readonly sheet: string;
}

export const LIGHT: Theme = {
  paper: '#F7F3EB',
  raised: '#FFFDF8',
  ink: '#16232E',
  quiet: '#4D5A66',
  rule: '#CFC6B6',
  floor: '#E3C79A',
  floorLine: '#7A5A30',
  board: '#D4B584',
  accent: '#16232E',
  onAccent: '#FFFDF8',
  good: '#0B6667',
  bad: '#A3371A',
  focus: '#2F6DB5',
  second: '#2F6DB5',
  here: '#C9502E',
  sheet: '#FFFFFF',
};

export const DARK: Theme = {
  paper: '#0F171E',
  raised: '#18222B',
  ink: '#F3EEE4',
  quiet: '#A9B4BD',
  rule: '#34424E',
  floor: '#2B2A27',
  floorLine: '#A98553',
  board: '#24231F',
  accent: '#F3EEE4',
  onAccent: '#0F171E',
  good: '#5CC4BF',
  bad: '#FF9A78',
  focus: '#8FBEF5',
  second: '#8FBEF5',
  here: '#E9764F',
  sheet: '#FFFFFF',
};

const asVariables = (theme: Theme): string =>
  Object.entries(theme)
    .map(([name, value]) => `--${name}: ${String(value)};`)
    .join('');

/** The themes as CSS variables; `data-theme` on any element turns the lights on or off below it. */
export const THEME_CSS = `
  :root, [data-theme='light'] { color-scheme: light; ${asVariables(LIGHT)} }
  [data-theme='dark'] { color-scheme: dark; ${asVariables(DARK)} }
`;

/** The name of a colour of the theme. */
export type ThemeColour = keyof Theme;

/** A colour of the theme in force, for styles and drawings alike. */
export const colour = (name: ThemeColour): string => `var(--${name})`;

/** Cone colours with the letter's colour on each. None of them is a phase's. */
export const MARKER_FILLS: Readonly<Record<MarkerColour, readonly [fill: string, letter: string]>> =
  {
    blue: ['#0A5BE0', '#FFFFFF'],
    yellow: ['#FFD21F', '#101820'],
    green: ['#0B8A3E', '#FFFFFF'],
    red: ['#E3170F', '#FFFFFF'],
    white: ['#FFFFFF', '#101820'],
    black: ['#101820', '#FFFFFF'],
  };

export const FONT = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";
export const MONO = "'Atkinson Hyperlegible Mono Variable', ui-monospace, monospace";

/** Below this width a page is a phone held upright. */
export const NARROW = '640px';
/** Below this width two columns become one. */
export const MIDDLE = '960px';
/** Below this width a row of big buttons beside a drawing gets too tight. */
export const WIDE = '1240px';
/** A window so low that a cue and its keys only fit side by side: a phone held sideways, or a zoomed page. */
export const LOW = '(max-height: 620px)';
