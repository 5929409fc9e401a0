import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from './fixtures'

/** A server of its own, with a mailbox of its own, that a test may kill at any moment. */
export class OwnServer {
  private process: ChildProcess | undefined
  readonly mailbox = mkdtempSync(join(tmpdir(), 'lamp-reel-mail-'))
  private port = 0
  constructor() {
    running.add(this)
  }
  /** The key of its mailbox. */
  get key(): string {
    return readFileSync(join(this.mailbox, 'key'), 'utf8').trim()
  }
  get base(): string {
    return `http://127.0.0.1:${this.port}`
  }
  async start(...options: string[]): Promise<void> {
    if (this.port === 0) this.port = await freePort()
    this.process = spawn(process.execPath, [
      '--import',
      'tsx',
      'server/main.ts',
      '--port',
      String(this.port),
      '--mailbox',
      this.mailbox,
      ...options,
    ])
    await expect
      .poll(
        () =>
          fetch(this.base)
            .then((r) => r.ok)
            .catch(() => false),
        { timeout: 30_000, intervals: [100] },
      )
      .toBe(true)
  }
  async kill(): Promise<void> {
    const { process: mine } = this
    this.process = undefined
    if (!mine || mine.exitCode !== null) return
    const gone = new Promise((done) => mine.once('exit', done))
    mine.kill('SIGKILL')
    await gone
  }
}
const running = new Set<OwnServer>()
/** Stops every server that a test has started. */
export async function stopServers(): Promise<void> {
  for (const server of running) await server.kill()
  running.clear()
}

/** A port that nobody listens on; the same one is used again after a kill, as phones expect. */
function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => {
        done(typeof address === 'object' && address ? address.port : 0)
      })
    })
  })
}
