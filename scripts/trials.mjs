// npm run trials [-- kill tabs storage mailbox backups deeds]: hard trials, most in a real browser, bounded; not
// part of npm test. Prints a line a trial.
import { spawnSync } from 'node:child_process'
import { bin, build, install, root } from './ready.mjs'

await install('chromium')
build()
const asked = process.argv.slice(2)
const all = ['kill', 'tabs', 'storage', 'mailbox', 'backups', 'deeds']
let failed = 0
for (const name of asked.length > 0 ? asked : all) {
  if (name === 'deeds') {
    // What unit tests try a few times, over random rows of deeds, here many times as often.
    const { status } = spawnSync(bin('jest'), ['--silent', '--testTimeout=900000'], {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, RUNS: process.env['RUNS'] ?? '8' },
    })
    if (status !== 0) failed++
    continue
  }
  if (name === 'backups') {
    // It needs no browser, and reads the sources as the application does.
    const { createServer } = await import('vite')
    const vite = await createServer({
      root,
      configFile: `${root}/vite.config.ts`,
      server: { middlewareMode: true },
      ssr: { noExternal: ['rrule'] },
      appType: 'custom',
      logLevel: 'error',
    })
    process.exitCode = 0
    await vite.ssrLoadModule(`${root}/e2e/trials/backups.ts`)
    await vite.close()
    if (process.exitCode !== 0) failed++
    continue
  }
  const { status } = spawnSync(bin('tsx'), [`e2e/trials/${name}.ts`], {
    cwd: root,
    stdio: 'inherit',
    timeout: 600_000,
  })
  if (status !== 0) failed++
}
process.exit(failed === 0 ? 0 : 1)
