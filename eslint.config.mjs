import next from 'eslint-config-next';
import nextTypeScript from 'eslint-config-next/typescript';

/** Imports only go down: each floor and the floors it must not reach for. The floor of `ui` has a rule of its own below. */
const floors = {
  core: ['data', 'papers', 'server', 'devices', 'app', 'ui', 'cli'],
  data: ['papers', 'server', 'devices', 'app', 'ui', 'cli'],
  papers: ['data', 'server', 'devices', 'app', 'ui', 'cli'],
  devices: ['data', 'server', 'app', 'ui', 'cli'],
  server: ['app', 'ui', 'cli'],
  app: ['data', 'devices', 'cli'],
  cli: ['papers', 'server', 'devices', 'app', 'ui'],
};

const floorRules = Object.entries(floors).map(([floor, above]) => ({
  files: [`src/${floor}/**/*.{ts,tsx}`],
  // What tests share reads the catalogue that ships with the app.
  ignores: ['src/core/tests/**'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: above.flatMap((name) => [`@/${name}/*`, `@/${name}`, `**/../${name}/**`]),
            message: `src/${floor} may not import this floor; imports only go down (docs/architecture.md).`,
          },
          ...(floor === 'core'
            ? [
                {
                  group: [
                    'react',
                    'react-dom',
                    'next',
                    'next/*',
                    'knex',
                    'better-sqlite3',
                    'antd',
                    'echarts',
                    'node:*',
                    'fs',
                    'path',
                  ],
                  message: 'The core is pure: no interface, no database, no machine.',
                },
              ]
            : []),
        ],
      },
    ],
  },
}));

const unusedVars = ['warn', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }];

const config = [
  { ignores: ['**/.next/**', 'node_modules/**', 'data/**', 'public/**', 'next-env.d.ts'] },
  ...next,
  ...nextTypeScript,
  { rules: { '@typescript-eslint/no-unused-vars': unusedVars } },
  ...floorRules,
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is passed in.' },
        { object: 'Math', property: 'random', message: 'Chance is passed in as a seed.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The clock is passed in.',
        },
        {
          selector: 'CallExpression[callee.property.name=/^toLocale/]',
          message: 'No figure depends on the locale.',
        },
      ],
    },
  },
  {
    files: ['src/ui/**/*.{ts,tsx}'],
    rules: {
      // A change of session loads the page anew on purpose: nothing of the last person stays in memory.
      '@next/next/no-location-assign-relative-destination': 'off',
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                '@/data/*',
                '@/papers',
                '@/papers/*',
                '@/devices/*',
                '@/app/*',
                '@/cli/*',
                '**/../data/**',
                '**/../devices/**',
              ],
              message: 'src/ui reaches the house through server actions and core only.',
            },
            {
              group: ['@/server/*'],
              allowTypeImports: true,
              message: 'src/ui takes types from the server, never code.',
            },
          ],
        },
      ],
    },
  },
];

export default config;
