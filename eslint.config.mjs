import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import ts from 'typescript-eslint';

/** Core's folders, foundations first: a folder may import only those before it. */
const coreLayers = [
  'result',
  'numeric',
  'floor',
  'pattern',
  'cue',
  'timing',
  'drill',
  'beacon',
  'budget',
  'footwork',
  'stats',
  'progress',
  'people',
  'simulation',
  'run',
  'plan',
  'film',
  'formats',
];

const forbid = (...patterns) => ({
  '@typescript-eslint/no-restricted-imports': ['error', { patterns }],
});

const coreImportsNothing = {
  regex: '^[^.]',
  message: 'core is plain arithmetic: it imports nothing but itself.',
};

const coreRules = coreLayers.map((layer, i) => {
  const later = coreLayers.slice(i + 1);
  return {
    files: [`packages/core/src/${layer}/**/*.ts`],
    rules: forbid(
      coreImportsNothing,
      { regex: '^\\.\\./\\.\\./', message: 'core imports nothing outside itself.' },
      ...(later.length > 0
        ? [
            {
              regex: `^\\.\\./(${later.join('|')})(/|$)`,
              message: `${layer}/ stands before ${later.join(', ')}: the arrow would run backwards.`,
            },
          ]
        : []),
    ),
  };
});

/** The server's rooms, foundations first; demo and migrations stand beside them. */
const serverLayers = ['platform', 'domains', 'derived', 'views', 'transfer', 'demo'];

const serverRules = serverLayers.map((layer, i) => ({
  files: [`apps/server/src/${layer}/**/*.ts`],
  rules: forbid({
    regex: `^(\\.\\./)+(${[...serverLayers.slice(i + 1), 'migrations', 'app\\.module'].join('|')})(/|\\.js$)`,
    message: `${layer}/ stands before what it asks for: the arrow would run backwards.`,
  }),
}));

/** The web app's places may not know each other; what two of them need is a part. */
const webPlaces = [
  'squad',
  'planner',
  'library',
  'studio',
  'floor',
  'film',
  'review',
  'ladder',
  'join',
];
/** Where the web app keeps, sends and hears; none of them draws. */
const webData = ['api', 'beacons', 'device', 'drill', 'live', 'sound'];

const webRules = [
  ...webPlaces.map((place) => ({
    files: [`apps/web/src/${place}/**/*.{ts,tsx}`],
    rules: forbid({
      regex: `^(\\.\\./)+(${webPlaces.filter((p) => p !== place).join('|')}|app)/`,
      message: `A place may use screens/, parts/, words/, ${webData.join('/, ')}/, never another place or the shell.`,
    }),
  })),
  {
    files: ['apps/web/src/parts/**/*.{ts,tsx}'],
    rules: forbid({
      regex: `^(\\.\\./)+(${[...webPlaces, ...webData, 'app', 'screens'].join('|')})/`,
      message: 'Parts draw what they are given: they know no place, no server and no storage.',
    }),
  },
  {
    files: ['apps/web/src/screens/**/*.{ts,tsx}'],
    rules: forbid({
      regex: `^(\\.\\./)+(${[...webPlaces, 'app'].join('|')})/`,
      message: 'What the screens of a drill are made of knows no place.',
    }),
  },
  {
    files: [`apps/web/src/{${webData.join(',')}}/**/*.{ts,tsx}`],
    rules: forbid({
      regex: `^(\\.\\./)+(${[...webPlaces, 'app', 'parts', 'screens'].join('|')})/`,
      message: 'Data comes before pictures.',
    }),
  },
  {
    files: ['apps/web/src/words/**/*.ts'],
    rules: forbid({
      regex: `^(\\.\\./)+(${[...webPlaces, ...webData, 'app', 'parts', 'screens'].join('|')})/`,
      message: 'Sentences are made of what core says, nothing else.',
    }),
  },
];

const COLOUR = '#([0-9a-f]{3}|[0-9a-f]{6})\\b';
const colourIsAToken =
  'A colour is a token (parts/tokens.ts) or belongs to a phase (parts/phases.tsx).';
const wordsInWords =
  'What a coach reads is a message in words/, so that another language is another file.';
/** What a selector of no-restricted-syntax finds, by why it may not stand. */
const webSyntax = [
  { selector: `Literal[value=/${COLOUR}/i]`, message: colourIsAToken },
  { selector: `TemplateElement[value.raw=/${COLOUR}/i]`, message: colourIsAToken },
  { selector: 'JSXText[value=/[A-Za-z]{2,}/]', message: wordsInWords },
  {
    selector:
      'JSXAttribute[name.name=/^(aria-label|label|title|alt|placeholder|name|hint|empty)$/] > Literal[value=/[A-Za-z] [A-Za-z]/]',
    message: wordsInWords,
  },
];

export default ts.config(
  { ignores: ['**/dist*/', 'data/', 'e2e/results/', '**/node_modules/'] },
  js.configs.recommended,
  ...ts.configs.strictTypeChecked.map((c) => ({ ...c, files: ['**/*.{ts,tsx}'] })),
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      // The contract's classes are shapes for JSON: an object of the shape is as good as an instance.
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-misused-spread': 'off',
    },
  },
  {
    // Nest and MikroORM read constructor types at run time: a type-only import would erase them.
    files: ['apps/server/src/**/*.ts', 'packages/contract/src/**/*.ts'],
    rules: {
      '@typescript-eslint/consistent-type-imports': 'off',
    },
  },
  {
    // Supertest types every reply's body as any; the expectations on it are the check.
    files: ['apps/server/test/**/*.ts'],
    rules: { '@typescript-eslint/no-unsafe-assignment': 'off' },
  },
  { files: ['packages/core/src/**/*.ts'], rules: forbid(coreImportsNothing) },
  ...coreRules,
  {
    files: ['packages/contract/src/**/*.ts'],
    rules: forbid({
      regex: '^(@nestjs|@mikro-orm|react|@orthokin/(server|web))',
      message: 'contract knows core and validation only.',
    }),
  },
  {
    files: ['apps/web/**/*.{ts,tsx}'],
    ...a11y.flatConfigs.recommended,
    languageOptions: { ...a11y.flatConfigs.recommended.languageOptions, globals: globals.browser },
  },
  {
    files: ['apps/web/**/*.{ts,tsx}'],
    rules: {
      // At the side of a floor the one thing to press next is ready under the thumb.
      'jsx-a11y/no-autofocus': 'off',
      // A table wider than its place must be scrollable by key.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region'] }],
    },
  },
  { files: ['apps/web/**/*.{ts,tsx}'], ...hooks.configs.flat.recommended },
  ...webRules,
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    ignores: ['apps/web/src/parts/{tokens.ts,phases.tsx}'],
    rules: { 'no-restricted-syntax': ['error', ...webSyntax] },
  },
  ...serverRules,
  { files: ['**/*.mjs'], languageOptions: { globals: globals.node } },
  prettier,
);
