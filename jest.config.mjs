const ES_ONLY = [
  '@nestjs/(?!throttler)',
  'file-type',
  'strtok3',
  'token-types',
  '@tokenizer',
  'uint8array-extras',
  '@borewit',
  'dequal',
  'd3-',
  'internmap',
  'hexy',
];

const common = {
  rootDir: import.meta.dirname,
  testEnvironment: 'node',
  transform: {
    '^.+\\.(ts|tsx|js|mjs)$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          keepClassNames: true,
          parser: { syntax: 'typescript', decorators: true, tsx: true },
          transform: {
            react: { runtime: 'automatic' },
            legacyDecorator: true,
            decoratorMetadata: true,
            useDefineForClassFields: false,
          },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!(${ES_ONLY.join('|')}))`],
  moduleNameMapper: {
    '^virtual:finding-words$': '<rootDir>/apps/web/src/findings/words.testing.ts',
    '^@dialoga/core/schema$': '<rootDir>/packages/core/src/file/schema.ts',
    '^@dialoga/core/(\\w+)$': '<rootDir>/packages/core/src/$1/index.ts',
    '^@dialoga/standins$': '<rootDir>/packages/standins/src/index.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
  },
};

const room = (name, folder) => ({ ...common, displayName: name, testMatch: [`<rootDir>/${folder}/**/*.test.ts`] });

export default {
  rootDir: import.meta.dirname,
  maxWorkers: 2,
  testTimeout: 60_000,
  projects: [
    room('core', 'packages/core/src'),
    room('stand-ins', 'packages/standins/src'),
    room('server', 'apps/server/src'),
    room('web', 'apps/web/src'),
    room('command line', 'apps/cli/src'),
    room('demo', 'demo'),
  ],
};
