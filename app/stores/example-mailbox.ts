import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { ExampleStorage } from '@app/data/example-storage'
import { lampReelServer } from '../../server/app'
import { GivenPages } from '../../server/given'
import { Mailbox } from '../../server/mailbox'

const fetched = globalThis.fetch

/** The names of what a browser keeps that begin so, without that. */
export function keptHere(prefix: string): string[] {
  const names = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
  return names.filter((name) => name.startsWith(prefix)).map((name) => name.slice(prefix.length))
}

/** How the line to the server is at a call: it works, the asking never arrives, or the answer is lost. */
export type LineState = 'works' | 'asking lost' | 'answer lost'

/** A line that works three times of five. */
export const anyLine = fc.constantFrom<LineState>('works', 'works', 'works', 'asking lost', 'answer lost')

/**
 * The real server with a mailbox of its own, open to other devices, reached over a line that is at each call as `line`
 * says. Puts what a browser has in the place of what Node lacks: storage, address, window, the network. Test support.
 */
export async function exampleMailbox() {
  const folder = mkdtempSync(join(tmpdir(), 'lamp-reel-line-'))
  const dist = join(folder, 'dist')
  mkdirSync(dist)
  writeFileSync(join(dist, 'index.html'), '<div id="app"></div>')
  const started = () => {
    const mailbox = new Mailbox(join(folder, 'mail'))
    const given = new GivenPages(join(folder, 'given'))
    return {
      mailbox,
      app: lampReelServer(dist, 'own', { mailbox, given, open: true, port: 1, secure: false }),
    }
  }
  let now = started()
  const server = createServer((request, response) => {
    now.app(request, response)
  })
  await new Promise<void>((ready) => {
    server.listen(0, '127.0.0.1', ready)
  })
  const address = server.address()
  const base = typeof address === 'object' && address ? `http://127.0.0.1:${address.port}` : ''
  const storage = new ExampleStorage()
  storage.setItem('lamp-reel.mail-key', now.mailbox.key)
  const nobody = { addEventListener: () => undefined, removeEventListener: () => undefined }
  const found = {
    storage,
    line: (): LineState => 'works',
    /** The server is killed, and started anew over what it has on disk. */
    restart: () => {
      now = started()
    },
    /** How many letters wait for the desk. */
    waiting: () => now.mailbox.waiting(1000).mail.length,
    /** The address of the page that is open, from its third sign on. */
    open: (pathname: string) => {
      Object.assign(globalThis, { location: { hash: '', pathname, search: '', origin: base } })
    },
    end: () => {
      Object.assign(globalThis, { fetch: fetched })
      server.close()
      server.closeAllConnections()
    },
  }
  Object.assign(globalThis, {
    localStorage: storage,
    navigator: {},
    window: nobody,
    document: { ...nobody, visibilityState: 'visible', querySelector: () => null },
    fetch: async (path: string, wish?: RequestInit) => {
      const line = found.line()
      if (line === 'asking lost') throw new TypeError('no network')
      const answer = await fetched(base + path, wish)
      if (line === 'works') return answer
      await answer.text()
      throw new TypeError('no network')
    },
  })
  found.open('/belt')
  return found
}
