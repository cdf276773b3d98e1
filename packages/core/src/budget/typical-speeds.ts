/** Who plays it: what speed is usual depends on that more than on the sport. */
export const PLAYING_LEVELS = ['learning', 'club', 'advanced'] as const;
export type PlayingLevel = (typeof PLAYING_LEVELS)[number];

/**
 * Off the racket, bat, hand or foot in ordinary play, m/s, by name of what flies. Rounded figures to
 * begin with, of no one study: a coach's own come from film (way over time between two contacts).
 */
const TYPICAL: Readonly<
  Record<string, readonly [learning: number, club: number, advanced: number]>
> = {
  'squash ball': [11, 18, 30],
  'tennis ball': [14, 22, 32],
  shuttlecock: [18, 32, 55],
  'table-tennis ball': [6, 11, 18],
  volleyball: [9, 15, 24],
  handball: [12, 18, 25],
  basketball: [6, 9, 12],
  'football (size 5)': [9, 15, 22],
  baseball: [18, 28, 38],
  'cricket ball': [16, 25, 35],
};

/** Typical speeds of what flies, m/s, slowest first; none for what is not known. */
export function typicalSpeeds(
  projectileName: string,
): readonly { readonly level: PlayingLevel; readonly speed: number }[] {
  const speeds = TYPICAL[projectileName] ?? [];
  return PLAYING_LEVELS.flatMap((level, i) => {
    const speed = speeds[i];
    return speed === undefined ? [] : [{ level, speed }];
  });
}
