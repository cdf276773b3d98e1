/** Under what a film's marks are kept: they are of frames, another film of the same set or pattern has others. */
export const filmKeyOf = (subjectId: string, file: Blob): string => `${subjectId}.${file.size}`;
