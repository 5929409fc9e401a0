import type { Linter } from 'eslint'
import { defineConfig } from 'eslint/config'
import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import vueParser from 'vue-eslint-parser'

/** The arrows of the house: which folders a file may not reach into, and why. */
function closed(files: string[], groups: { group: string[]; message: string }[]): Linter.Config {
  return { files, rules: { 'no-restricted-imports': ['error', { patterns: groups }] } }
}
/**
 * Of what the rules that need types are asked: `all`, as the hook before a commit does for what is staged (each component
 * makes the checker build its program anew, minutes for all of them); plain `sources`; or `none`, as `npm test` does,
 * which has them from `scripts/lint-types.mjs` in a tenth of the time.
 */
const typed = process.env['LINT_TYPES'] ?? 'sources'
/** A store or a screen that reads all records is woken by every change of any. */
const allRecords = {
  selector: "MemberExpression[object.object.name='library'][object.property.name='records']",
  message: 'Read one table at a time: library.tables.',
}
/** The first ten letters of a moment are its day in UTC, which is another one for half the world. */
const utcDay = {
  selector: "CallExpression[callee.property.name='slice'][arguments.0.value=0][arguments.1.value=10]",
  message: 'A day is one in the creator’s zone: dayIn(moment, zone), or dateOf for midnights in UTC.',
}
const noInterface = {
  group: ['vue', 'vue-*', 'pinia', 'dexie', 'idb', 'node:*', '@app/*', '@demo/*', '@headlessui/*'],
  message: 'core knows no interface, storage or Node API.',
}

export default defineConfig(
  { ignores: ['dist/**', 'node_modules/**', 'test-results/**', 'playwright-report/**', 'coverage/**'] },
  ...tseslint.configs.strictTypeChecked,
  {
    languageOptions: {
      parserOptions: {
        projectService: typed !== 'none',
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.vue'],
      },
    },
    // One for a rule that is not asked here is not without use.
    linterOptions: { reportUnusedDisableDirectives: typed === 'none' ? 'off' : 'error' },
  },
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: {
      parser: vueParser,
      parserOptions: { parser: tseslint.parser, extraFileExtensions: ['.vue'] },
    },
  },
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/require-default-prop': 'off',
      // A prop’s default is one, whatever the type of the prop says.
      '@typescript-eslint/no-useless-default-assignment': 'off',
      // Strings are spread to count their characters, which is not the number of their code units.
      '@typescript-eslint/no-misused-spread': ['error', { allow: ['string'] }],
      'no-undef': 'off',
      'no-console': ['error', { allow: ['warn', 'error'] }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-assertions': ['error', { assertionStyle: 'never' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      // A number in a sentence is a number in a sentence.
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
    },
  },
  closed(['core/**/*.ts'], [noInterface]),
  // A test may look at the sources themselves: whether every command has its random deed.
  { files: ['core/**/*.test.ts'], rules: { 'no-restricted-imports': 'off' } },
  {
    files: ['core/**/*.ts', 'app/**/*.ts', 'app/**/*.vue', 'demo/**/*.ts', 'server/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', utcDay] },
  },
  {
    files: ['app/stores/**/*.ts', 'app/screens/**/*.ts', 'app/**/*.vue'],
    ignores: ['**/*.test.ts', '**/example-*.ts'],
    rules: {
      'no-restricted-syntax': ['error', utcDay, allRecords],
      'vue/no-restricted-syntax': ['error', allRecords],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        utcDay,
        {
          selector: "MemberExpression[object.name='Date'][property.name='now']",
          message: 'core has no clock: take now as an argument.',
        },
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'core has no chance without a seed.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'core has no clock: take now as an argument.',
        },
      ],
    },
  },
  closed(
    ['app/data/**/*.ts', 'app/workers/**/*.ts'],
    [
      {
        group: ['@app/stores/*', '@app/screens/*', '@app/ui/*', 'pinia'],
        message: 'data knows nobody above it.',
      },
    ],
  ),
  closed(
    ['app/stores/**/*.ts'],
    [{ group: ['@app/screens/*', '@app/ui/*', 'dexie', 'idb'], message: 'stores know data and core alone.' }],
  ),
  closed(
    ['app/ui/**/*'],
    [
      {
        group: [
          '@app/stores/*',
          '@app/screens/*',
          '@app/data/*',
          '@core/commands/*',
          'dexie',
          'idb',
          'pinia',
        ],
        message: 'ui parts know no records.',
      },
    ],
  ),
  closed(
    ['app/screens/**/*'],
    [{ group: ['@app/data/*', 'dexie', 'idb'], message: 'screens reach data through the stores.' }],
  ),
  // A test may stand up more than one tab, down to the store.
  { files: ['app/screens/**/*.test.ts'], rules: { 'no-restricted-imports': 'off' } },
  { files: ['scripts/**', 'server/**', 'bench/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  ...(typed === 'all' ? [] : [{ files: ['**/*.vue'], extends: [tseslint.configs.disableTypeChecked] }]),
  ...(typed === 'none' ? [{ files: ['**/*.ts'], extends: [tseslint.configs.disableTypeChecked] }] : []),
  { files: ['**/*.mjs', '**/*.js'], extends: [tseslint.configs.disableTypeChecked] },
  {
    // Matchers and what was read from a file or the network are `any` there, on purpose.
    files: ['**/*.test.ts', 'e2e/**', 'bench/**'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
)
