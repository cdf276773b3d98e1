/** What is clicked in the picture keeps a press for itself; the wheel zooms everywhere. */
export const KEEPS_PRESSES = 'data-keeps-presses';
