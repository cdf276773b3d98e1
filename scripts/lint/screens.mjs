/** What no linter knows of itself: how this house draws and speaks. */

const COLOUR = '#([0-9a-f]{3}|[0-9a-f]{6})\\b';
/** Attributes that are read out or shown. */
const SAID = 'aria-label|label|title|alt|placeholder|name|hint|empty';

/**
 * A rule against what one of some selectors finds.
 * @param {string} message
 * @param {string[]} selectors
 */
const against = (message, ...selectors) => ({
  /** @param {{ report(finding: { node: unknown, message: string }): void }} context */
  create: (context) =>
    Object.fromEntries(
      selectors.map((selector) => [
        selector,
        (/** @type {unknown} */ node) => {
          context.report({ node, message });
        },
      ]),
    ),
});

export default {
  meta: { name: 'screens' },
  rules: {
    'colours-are-tokens': against(
      'A colour is a token (parts/tokens.ts) or belongs to a phase (parts/phases.tsx).',
      `Literal[value=/${COLOUR}/i]`,
      `TemplateElement[value.raw=/${COLOUR}/i]`,
    ),
    'words-in-words': against(
      'What a coach reads is a message in words/, so that another language is another file.',
      'JSXText[value=/[A-Za-z]{2,}/]',
      `JSXAttribute[name.name=/^(${SAID})$/] > Literal[value=/[A-Za-z] [A-Za-z]/]`,
    ),
  },
};
