// npm run demo [-- --size large] [-- --port 4180]: installs, builds and serves the application with the
// demo data.
// --host 0.0.0.0 lets other devices of the home network in, with a key; --cert and --cert-key make it https.
// With --own (npm start) it opens the creator's own data instead.
import { parseArgs } from 'node:util'
import { bin, build, install, run } from './ready.mjs'

const { values } = parseArgs({
  options: {
    size: { type: 'string', default: 'usual' },
    port: { type: 'string', default: '4180' },
    own: { type: 'boolean', default: false },
    host: { type: 'string' },
    cert: { type: 'string' },
    'cert-key': { type: 'string' },
  },
})
if (!['usual', 'large'].includes(values.size)) {
  console.error(`“${values.size}” is not a size. Use --size large for 5,000 episodes, or leave it out.`)
  process.exit(1)
}
await install()
build()
run(bin('tsx'), [
  'server/main.ts',
  '--port',
  values.port,
  '--start',
  values.own ? 'own' : values.size === 'large' ? 'demo large' : 'demo',
  ...['host', 'cert', 'cert-key'].flatMap((name) =>
    values[name] === undefined ? [] : [`--${name}`, values[name]],
  ),
])
