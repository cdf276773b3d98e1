const BEFORE_UNIT = /(\d) (?=(?:ms|s|min|h|mm|cm|m|ft|kB|MB|GB|%)(?![\w-]))/g;

/** Puts a no-break space between each figure and its unit. */
export const unbroken = (text: string): string => text.replace(BEFORE_UNIT, '$1\u00a0');
