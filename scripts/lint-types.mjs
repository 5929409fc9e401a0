// The rules of eslint.config.ts that need types, and the types of all plain sources, by the native compiler: in a
// tenth of the time that they take in ESLint. What it has not learnt yet is left to `npm run lint` and to the hook.
import { spawnSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ESLint } from 'eslint'
import tseslint from 'typescript-eslint'
import { bin, root } from './ready.mjs'

// All of them, whatever was asked of ESLint.
delete process.env['LINT_TYPES']
const prefix = '@typescript-eslint/'
const { stdout } = spawnSync(bin('oxlint'), ['--rules'], { encoding: 'utf8' })
const known = new Set(
  [...stdout.matchAll(/^\| ([\w-]+) +\| (\w+) /gm)].flatMap(([, rule, source]) =>
    source === 'typescript' ? [rule] : [],
  ),
)
const needTypes = Object.keys(tseslint.configs.disableTypeChecked.rules).filter((rule) =>
  rule.startsWith(prefix),
)

/** The rules that need types as eslint.config.ts has them for a file. */
async function rulesFor(file) {
  const { rules } = await new ESLint({ cwd: root }).calculateConfigForFile(join(root, file))
  const asked = Object.fromEntries(
    needTypes.flatMap((rule) => {
      const name = rule.slice(prefix.length)
      const [level = 0, ...options] = rules[rule] ?? []
      return known.has(name) ? [[`typescript/${name}`, level === 0 ? 'off' : ['error', ...options]]] : []
    }),
  )
  // Names that are not found would switch rules off without a word.
  if (Object.values(asked).filter((of) => of !== 'off').length < needTypes.length / 2)
    throw new Error(`Of the rules that need types, too few are known for ${file}.`)
  return asked
}

writeFileSync(
  join(root, '.oxlintrc.json'),
  JSON.stringify({
    plugins: ['typescript'],
    categories: { correctness: 'off' },
    ignorePatterns: ['dist/**', '**/*.vue', '**/*.mjs', '**/*.js'],
    rules: await rulesFor('core/records.ts'),
    overrides: [
      { files: ['**/*.test.ts', 'e2e/**', 'bench/**'], rules: await rulesFor('core/records.test.ts') },
    ],
  }),
)
const { status } = spawnSync(bin('oxlint'), ['--type-aware', '--type-check', '--deny-warnings'], {
  cwd: root,
  stdio: 'inherit',
})
process.exit(status ?? 1)
