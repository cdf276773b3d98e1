/** Under what a film's marks are kept: they are of frames, another film of the same set has others. */
export const filmKeyOf = (setId: string, file: Blob): string => `${setId}.${file.size}`;
