// Which way dependencies run: web → contract, widget → core; server → contract → core; standins alone. A breach fails the build.

/** What each package may import of ours, and what else it must leave alone. */
const mayImport = {
  core: [],
  contract: ['core'],
  widget: ['core'],
  server: ['core', 'contract'],
  web: ['core', 'contract', 'widget'],
  standins: [],
}

const all = Object.keys(mayImport)

const forbiddenIn = (name) => {
  const others = all.filter((other) => other !== name && !mayImport[name].includes(other))
  return [
    ...others.map((other) => ({
      regex: `^@pebblestrand/${other}(/|$)`,
      message: `packages/${name} must not import packages/${other}: dependencies run one way (docs/architecture.md).`,
    })),
    { regex: `(\\.\\./)+(${all.join('|')})/src`, message: 'Reach another package by its name, not by a path.' },
    { regex: '^@pebblestrand/[a-z]+/src/', message: "Import a folder's index, its whole public face." },
  ]
}

const corePurity = {
  files: ['packages/core/src/**/*.ts'],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-globals': [
      'error',
      ...['window', 'document', 'localStorage', 'process', 'Buffer', 'fetch', 'setTimeout', 'setInterval'].map(
        (name) => ({ name, message: 'The core has no DOM, no Node API and no I/O.' }),
      ),
    ],
    'no-restricted-syntax': [
      'error',
      {
        selector: "NewExpression[callee.name='Date'][arguments.length=0]",
        message: 'The core has no clock: pass `now`.',
      },
      {
        selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
        message: 'The core has no clock: pass `now`.',
      },
      {
        selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
        message: 'The core rolls no dice: pass them in.',
      },
    ],
  },
}

const nodeFree = {
  regex: '^node:|^(vue|pinia|fastify|sequelize|pg|undici|playwright-core)$',
  message: 'The core imports pure libraries only.',
}

/** @param paths of core that are more than types there */
const widgetTakes = (files, paths) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            regex: `^@pebblestrand/core(?!/(?:${paths.join('|')})$)`,
            allowTypeImports: true,
            message: "Only core's types, its wire, and what a browser decides and reads by: import type.",
          },
        ],
      },
    ],
  },
})

export const direction = [
  ...all.map((name) => ({
    files: [`packages/${name}/**/*.{ts,vue}`],
    rules: {
      'no-restricted-imports': ['error', { patterns: [...forbiddenIn(name), ...(name === 'core' ? [nodeFree] : [])] }],
    },
  })),
  // The widget takes core's types and the paths of the wire, the little that decides when something over a page appears, and what
  // reads a form: the same decides in the rehearsal and on the server. Visitors download none of the rest.
  widgetTakes(
    ['packages/widget/src/**/*.ts'],
    ['wire', 'presence/deciding', 'forms/filling', 'forms/proof', 'hours/now'],
  ),
  // The workbench's stage is no visitor's: it finds a widget's place in a page as the reading of a site does.
  widgetTakes(
    ['packages/widget/src/stage.ts', 'packages/widget/src/stage/**/*.ts'],
    ['wire', 'site-facts/bands', 'verify/element-names', 'verify/room-marks'],
  ),
  {
    // What all subjects stand on knows none of them.
    files: ['packages/server/src/platform/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex:
                '^(\\.\\./)+(?!(?:context|config|errors|queue|turns|ids|assets|database|http|outbound|threads)(?:/|$))[a-z]',
              message: 'platform/ imports no subject: let the subject bring it (subject.ts).',
            },
          ],
        },
      ],
    },
  },
  corePurity,
  // Tests, and the pages they are made of, read files.
  { files: ['packages/core/**/*.test.ts', 'packages/core/corpus/**/*.ts'], rules: { 'no-restricted-imports': 'off' } },
]
