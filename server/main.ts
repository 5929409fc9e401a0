import { existsSync, readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { fileURLToPath } from 'node:url'
import { lampReelServer } from './app'
import { addresses } from './mail'
import { GivenPages } from './given'
import { Mailbox } from './mailbox'
import { StandIn } from './stand-in/store'

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: '4180' },
    start: { type: 'string', default: 'own' },
    host: { type: 'string' },
    mailbox: { type: 'string', default: fileURLToPath(new URL('../mailbox', import.meta.url)) },
    cert: { type: 'string' },
    'cert-key': { type: 'string' },
  },
})
const port = Number(values.port)
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`“${values.port}” is not a port. Give a number from 1 to 65535, for example --port 4180.`)
  process.exit(1)
}
const start = values.start === 'demo' || values.start === 'demo large' ? values.start : 'own'
const { cert, 'cert-key': certKey } = values
if (
  (cert === undefined) !== (certKey === undefined) ||
  [cert, certKey].some((f) => f !== undefined && !existsSync(f))
) {
  console.error('A certificate needs both files: --cert cert.pem --cert-key key.pem.')
  process.exit(1)
}
const secure = cert !== undefined
const host = values.host ?? '127.0.0.1'
const open = values.host !== undefined
const mailbox = new Mailbox(values.mailbox)
const app = lampReelServer(
  fileURLToPath(new URL('../dist', import.meta.url)),
  start,
  { mailbox, given: new GivenPages(join(values.mailbox, 'given')), open, port, secure },
  new StandIn(join(values.mailbox, 'stand-in')),
)
/**
 * Large cookies of other pages on this machine's address must not lock anybody out; slow or silent callers
 * must.
 */
const limits = {
  maxHeaderSize: 256 * 1024,
  headersTimeout: 15_000,
  requestTimeout: 60_000,
  keepAliveTimeout: 10_000,
}
const server =
  cert !== undefined && certKey !== undefined
    ? createSecureServer({ cert: readFileSync(cert), key: readFileSync(certKey), ...limits }, app)
    : createServer(limits, app)
// Lines on which nothing moves are closed.
server.setTimeout(120_000)
server.listen(port, host, () => {
  const scheme = secure ? 'https' : 'http'
  console.log(
    `Lamp Reel is at ${scheme}://127.0.0.1:${port}/${open ? `#key=${mailbox.key}` : ''} (Ctrl+C ends it)`,
  )
  if (open)
    for (const address of addresses(port, secure))
      console.log(`Other devices reach it at ${address}; the desk shows a code to scan.`)
})
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken. Choose another with --port, for example --port ${port + 1}.`
      : error.message,
  )
  process.exit(1)
})
