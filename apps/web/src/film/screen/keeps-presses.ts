/**
 * Attribute of things in the picture that take presses for themselves, so that these do not pan it; the wheel zooms
 * everywhere.
 */
export const KEEPS_PRESSES = 'data-keeps-presses';
