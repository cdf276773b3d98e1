/** The key of a film's marks. Marks are about frames, so another film of the same set has its own. */
export const filmKeyOf = (subjectId: string, file: Blob): string => `${subjectId}.${file.size}`;
