// npm run trials [-- kill tabs storage mailbox]: hard trials in a real browser, bounded; not part of npm test. Prints a line a trial.
import { spawnSync } from 'node:child_process'
import { bin, build, chromium, install, root } from './ready.mjs'

install()
chromium()
build()
const asked = process.argv.slice(2)
const all = ['kill', 'tabs', 'storage', 'mailbox']
let failed = 0
for (const name of asked.length > 0 ? asked : all) {
  const { status } = spawnSync(bin('tsx'), [`e2e/trials/${name}.ts`], {
    cwd: root,
    stdio: 'inherit',
    timeout: 600_000,
  })
  if (status !== 0) failed++
}
process.exit(failed === 0 ? 0 : 1)
