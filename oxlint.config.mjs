/** @param {string[]} rules */
const errors = (...rules) => Object.fromEntries(rules.map((rule) => [rule, 'error']));

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

const forbid = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

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

/** Beyond what is outright wrong (all of which is an error): what a strict house does not want either. */
const strict = errors(
  'no-case-declarations',
  'no-empty',
  'no-fallthrough',
  'no-prototype-builtins',
  'no-redeclare',
  'no-regex-spaces',
  'no-undef',
);

/** The same for TypeScript; most of them ask what type a thing has. */
const strictTypes = {
  ...errors(
    'no-array-constructor',
    'no-useless-constructor',
    'no-var',
    'prefer-const',
    'prefer-rest-params',
    'prefer-spread',
    'typescript/ban-ts-comment',
    'typescript/consistent-type-imports',
    'typescript/no-deprecated',
    'typescript/no-dynamic-delete',
    'typescript/no-empty-object-type',
    'typescript/no-explicit-any',
    'typescript/no-generated-empty-object-type',
    'typescript/no-invalid-void-type',
    'typescript/no-misused-promises',
    'typescript/no-mixed-enums',
    'typescript/no-namespace',
    'typescript/no-non-null-asserted-nullish-coalescing',
    'typescript/no-non-null-assertion',
    'typescript/no-require-imports',
    'typescript/no-unnecessary-boolean-literal-compare',
    'typescript/no-unnecessary-condition',
    'typescript/no-unnecessary-template-expression',
    'typescript/no-unnecessary-type-arguments',
    'typescript/no-unnecessary-type-assertion',
    'typescript/no-unnecessary-type-constraint',
    'typescript/no-unnecessary-type-conversion',
    'typescript/no-unnecessary-type-parameters',
    'typescript/no-unsafe-argument',
    'typescript/no-unsafe-assignment',
    'typescript/no-unsafe-call',
    'typescript/no-unsafe-enum-comparison',
    'typescript/no-unsafe-function-type',
    'typescript/no-unsafe-member-access',
    'typescript/no-unsafe-return',
    'typescript/only-throw-error',
    'typescript/prefer-literal-enum-member',
    'typescript/prefer-promise-reject-errors',
    'typescript/prefer-reduce-type-parameter',
    'typescript/prefer-return-this-type',
    'typescript/related-getter-setter-pairs',
    'typescript/require-await',
    'typescript/restrict-plus-operands',
    'typescript/return-await',
    'typescript/switch-exhaustiveness-check',
    'typescript/unified-signatures',
    'typescript/use-unknown-in-catch-callback-variable',
  ),
  // What a name stands for is the compiler's to say.
  'no-undef': 'off',
  'no-unused-vars': ['error', { ignoreRestSiblings: true }],
  'typescript/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
  'typescript/no-extraneous-class': ['error', { allowWithDecorator: true }],
  'typescript/restrict-template-expressions': ['error', { allowNumber: true }],
};

export default {
  plugins: ['typescript', 'react', 'jsx-a11y'],
  jsPlugins: ['./scripts/lint/screens.mjs'],
  categories: { correctness: 'error' },
  options: { typeAware: true, reportUnusedDisableDirectives: 'error' },
  env: { builtin: true, node: true },
  ignorePatterns: ['**/dist*/', 'data/', 'e2e/results/'],
  rules: {
    ...strict,
    // The contract's classes are shapes for JSON: an object of the shape is as good as an instance.
    'typescript/no-misused-spread': 'off',
  },
  overrides: [
    { files: ['**/*.{ts,tsx}'], rules: strictTypes },
    {
      // Nest and MikroORM read constructor types at run time: a type-only import would erase them.
      files: ['apps/server/src/**/*.ts', 'packages/contract/src/**/*.ts'],
      rules: { 'typescript/consistent-type-imports': 'off' },
    },
    {
      // Supertest types every reply's body as any; the expectations on it are the check.
      files: ['apps/server/test/**/*.ts'],
      rules: { 'typescript/no-unsafe-assignment': 'off' },
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
      rules: {
        ...errors('react/rules-of-hooks', 'react/unsupported-syntax'),
        // At the side of a floor the one thing to press next is ready under the thumb.
        'jsx-a11y/no-autofocus': 'off',
        // A table wider than its place must be scrollable by key.
        'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region'] }],
        // Drawings and what is said of them have roles; no tag would be the same thing to look at.
        'jsx-a11y/prefer-tag-over-role': 'off',
        // It asks a label of every empty cell.
        'jsx-a11y/control-has-associated-label': 'off',
      },
    },
    ...webRules,
    {
      files: ['apps/web/src/**/*.{ts,tsx}'],
      excludeFiles: ['apps/web/src/parts/{tokens.ts,phases.tsx}'],
      rules: errors('screens/colours-are-tokens', 'screens/words-in-words'),
    },
    ...serverRules,
  ],
};
