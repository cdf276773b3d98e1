const BEFORE_UNIT = /(\d) (?=(?:ms|s|min|h|mm|cm|m|ft|kB|MB|GB|%)(?![\w-]))/g;

/** A text in which no line ends between a figure and its unit. */
export const unbroken = (text: string): string => text.replace(BEFORE_UNIT, '$1\u00a0');
