const config = {
  testEnvironment: 'node',
  // What a test leaves behind goes with its worker’s room; to take it apart piece by piece takes longer than most tests.
  testEnvironmentOptions: { globalsCleanup: 'off' },
  // Generous: a machine that is shared may give a thirtieth of its speed for minutes.
  testTimeout: 600_000,
  // Every core, where jest would leave one idle: nothing else runs beside it.
  maxWorkers: '100%',
  // Node has no dates with zones yet.
  setupFiles: ['temporal-polyfill/global'],
  roots: ['<rootDir>/core', '<rootDir>/app', '<rootDir>/demo', '<rootDir>/server'],
  testMatch: ['**/*.test.ts'],
  moduleNameMapper: {
    '^@core/(.*)$': '<rootDir>/core/$1',
    '^@app/(.*)$': '<rootDir>/app/$1',
    '^@demo/(.*)$': '<rootDir>/demo/$1',
  },
  transform: {
    '^.+\\.(t|m|c)?[jt]s$': [
      '@swc/jest',
      { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } },
    ],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(@noble|pinia|nostics|comlink|marked|temporal-polyfill|temporal-utils|ical.js|dexie|d3-[a-z-]+|internmap|@vueuse|@lucide|@internationalized|@tanstack)/)',
  ],
}

export default config
