import { parseArgs } from 'node:util'
import { fileURLToPath } from 'node:url'
import { lampReelServer } from './app'

const { values } = parseArgs({ options: { port: { type: 'string', default: '4180' }, start: { type: 'string', default: 'own' } } })
const port = Number(values.port)
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`“${values.port}” is not a port. Give a number from 1 to 65535, for example --port 4180.`)
  process.exit(1)
}
const start = values.start === 'demo' || values.start === 'demo large' ? values.start : 'own'
const server = lampReelServer(fileURLToPath(new URL('../dist', import.meta.url)), start).listen(port, '127.0.0.1', () => {
  console.log(`Lamp Reel is at http://127.0.0.1:${port}/ (Ctrl+C ends it)`)
})
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${port} is taken. Choose another with --port, for example --port ${port + 1}.` : error.message)
  process.exit(1)
})
