/** What somebody is called in a title: the name up to its first blank. */
export const shortName = (name: string): string => name.split(' ')[0] ?? name;

/**
 * A title without what it calls somebody by their {@link shortName}; others whose names only begin
 * or end with it stay in it.
 * @param name the whole name
 * @example
 * withoutName('Slower side: Ada, Adam', 'Ada Reed'); // 'Slower side: …, Adam'
 */
export function withoutName(title: string, name: string): string {
  const called = shortName(name).replace(/[\\^$.*+?()[\]{}|/]/g, '\\$&');
  if (called === '') return title;
  return title.replace(new RegExp(`(?<![\\p{L}\\p{N}])${called}(?![\\p{L}\\p{N}])`, 'gu'), '…');
}
