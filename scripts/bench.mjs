// npm run bench: the core as ratios to a plain loop over the same records; the interface as figures on the
// large demo.
import { bin, build, chromium, install, root, run } from './ready.mjs'

install()
chromium()
build()
const { createServer } = await import('vite')
const vite = await createServer({
  root,
  configFile: `${root}/vite.config.ts`,
  server: { middlewareMode: true },
  ssr: { noExternal: ['rrule'] },
  appType: 'custom',
  logLevel: 'error',
})
await vite.ssrLoadModule(`${root}/bench/core.ts`)
await vite.ssrLoadModule(`${root}/bench/planner.ts`)
console.log('')
await vite.ssrLoadModule(`${root}/bench/dragging.ts`)
console.log('')
await vite.ssrLoadModule(`${root}/bench/filming.ts`)
await vite.ssrLoadModule(`${root}/bench/pictures.ts`)
await vite.close()
console.log('')
run(bin('tsx'), ['bench/browser.ts'])
