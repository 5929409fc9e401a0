// npm run bench: the core as ratios to a plain loop over the same records; the interface as figures on the
// large demo.
import { bin, build, install, root, run } from './ready.mjs'

await install('chromium')
build()
const { build: bundle, createServer } = await import('vite')
// The core's figures are taken on one bundle, as the program runs it: module by module, every name that is imported
// costs a look-up, which the plain loop has none of.
await bundle({
  root,
  configFile: false,
  logLevel: 'error',
  resolve: { alias: { '@core': `${root}/core`, '@demo': `${root}/demo`, '@app': `${root}/app` } },
  ssr: { noExternal: true },
  build: {
    ssr: `${root}/bench/core.ts`,
    outDir: `${root}/node_modules/.cache/bench`,
    emptyOutDir: true,
    target: 'node20',
  },
})
await import(`${root}/node_modules/.cache/bench/core.js`)
const vite = await createServer({
  root,
  configFile: `${root}/vite.config.ts`,
  server: { middlewareMode: true },
  ssr: { noExternal: ['rrule'] },
  appType: 'custom',
  logLevel: 'error',
})
await vite.ssrLoadModule(`${root}/bench/planner.ts`)
console.log('')
await vite.ssrLoadModule(`${root}/bench/dragging.ts`)
console.log('')
await vite.ssrLoadModule(`${root}/bench/filming.ts`)
await vite.ssrLoadModule(`${root}/bench/pictures.ts`)
await vite.close()
console.log('')
run(bin('tsx'), ['bench/browser.ts'])
