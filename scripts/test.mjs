// npm test: installs what is missing, then format, types, linter, unit tests and browser tests; says how
// many passed.
import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bin, cache, install, root } from './ready.mjs'

await install('chromium', 'ffmpeg', 'xmllint')
const out = mkdtempSync(join(tmpdir(), 'lamp-reel-test-'))
let passed = 0
let failed = 0
function step(name, program, args, env = {}) {
  console.log(`\n${name}`)
  const { status } = spawnSync(program, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  })
  return status === 0
}
/** Runs a check; what it says is printed when it ends. */
function check([name, program, args, env = {}]) {
  return new Promise((done) => {
    const child = spawn(program, args, { cwd: root, env: { ...process.env, ...env } })
    let says = ''
    for (const out of [child.stdout, child.stderr])
      out.on('data', (chunk) => {
        says += chunk
      })
    child.on('close', (code) => {
      console.log(`\n${name}\n${says.trimEnd()}`)
      if (code === 0) passed++
      else failed++
      done()
    })
  })
}
/** Runs rows of checks side by side, each row on a core of its own. */
async function checks(...rows) {
  await Promise.all(
    rows.map(async (row) => {
      for (const each of row) await check(each)
    }),
  )
}
// What has not changed since the last run here is not looked at again, where that cannot change what is found.
const keptIn = (name) => ['--cache', '--cache-strategy', 'content', '--cache-location', join(cache, name)]
await checks(
  [
    [
      'Types of components',
      bin('vue-tsc'),
      [
        ...['--noEmit', '-p', 'tsconfig.components.json'],
        ...['--incremental', '--tsBuildInfoFile', join(cache, 'types.json')],
      ],
    ],
    ['Types of sources, and the rules that need them', process.execPath, ['scripts/lint-types.mjs']],
    // For the browser tests.
    ['Build', process.execPath, ['scripts/build.mjs']],
  ],
  [
    ['Linter', bin('eslint'), ['.', '--max-warnings', '0', ...keptIn('lint')], { LINT_TYPES: 'none' }],
    ['Format', bin('prettier'), ['--check', '.', '--log-level', 'warn', ...keptIn('format')]],
  ],
)

const units = join(out, 'units.json')
const unitsFine = step('Unit tests', bin('jest'), ['--json', `--outputFile=${units}`, '--silent'])
try {
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(units, 'utf8'))
  passed += numPassedTests
  failed += numFailedTests || (unitsFine ? 0 : Math.max(1, numFailedTestSuites))
} catch {
  failed++
}

const browser = join(out, 'browser.json')
const browserFine = step('Browser tests', bin('playwright'), ['test', '--reporter=list,json'], {
  PLAYWRIGHT_JSON_OUTPUT_NAME: browser,
})
try {
  const { stats } = JSON.parse(readFileSync(browser, 'utf8'))
  passed += stats.expected + stats.flaky
  failed += stats.unexpected || (browserFine ? 0 : 1)
} catch {
  failed++
}
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
