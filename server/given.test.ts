import { mkdirSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { HelperPage } from '../core/helpers/page'
import { lampReelServer } from './app'
import { GivenPages } from './given'
import { Mailbox } from './mailbox'

const dist = mkdtempSync(join(tmpdir(), 'lamp-reel-dist-'))
mkdirSync(join(dist, 'assets'))
writeFileSync(join(dist, 'index.html'), '<div id="app"></div>')
const servers: Server[] = []
async function serve(folder: string): Promise<string> {
  const mail = {
    ...{ mailbox: new Mailbox(folder), given: new GivenPages(join(folder, 'given')) },
    ...{ open: false, port: 1, secure: false },
  }
  const server = createServer(lampReelServer(dist, 'own', mail))
  servers.push(server)
  await new Promise<void>((ready) => {
    server.listen(0, '127.0.0.1', ready)
  })
  const address = server.address()
  return typeof address === 'object' && address ? `http://127.0.0.1:${address.port}/mail` : ''
}
afterAll(() => {
  for (const s of servers) s.close()
})
const folder = () => mkdtempSync(join(tmpdir(), 'lamp-reel-given-'))
const blank: HelperPage = {
  ...{ kind: 'cut', who: 'Pell', show: 'Tern & Tiller', number: '#42', title: 'Ribs', due: '', aim: '' },
  ...{
    since: '',
    opened: false,
    back: false,
    where: '',
    notes: [],
    toDo: [],
    needs: [],
    remarks: [],
    guide: '',
    links: [],
  },
  ...{ shots: [], lists: [], script: [], things: [], asked: [], also: [], taken: [] },
}
const send = (method: string, url: string, body?: unknown) =>
  fetch(url, {
    method,
    headers: { 'content-type': 'application/json', 'x-lamp-desk': 'desk' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
async function give(base: string, ...jobs: string[]): Promise<Record<string, string>> {
  const pages = jobs.map((job) => ({ job, page: { ...blank, title: job } }))
  const answer = await send('PUT', `${base}/given`, { pages })
  const body: { secrets: Record<string, string> } = await answer.json()
  return body.secrets
}
const opened = { n: 1, at: '2026-11-24T09:00:00.000Z', deed: { kind: 'opened' } }

test('a page is found by its secret alone, keeps its address, and is gone when the desk names it no more', async () => {
  const at = folder()
  const base = await serve(at)
  const first = await give(base, 'job-a', 'job-b')
  expect(first['job-a']).toMatch(/^[\w-]{32}$/)
  const page = await send('GET', `${base}/for/${first['job-a'] ?? ''}`)
  expect(await page.json()).toMatchObject({ title: 'job-a' })
  // The server is another; the address is the same.
  const again = await serve(at)
  expect((await give(again, 'job-a'))['job-a']).toBe(first['job-a'])
  expect((await send('GET', `${again}/for/${first['job-a'] ?? ''}`)).status).toBe(200)
  const ended = await send('GET', `${again}/for/${first['job-b'] ?? ''}`)
  expect([ended.status, await ended.json()]).toEqual([404, { sentence: 'There is nothing at this address.' }])
  // Of what it showed nothing is kept; taken back at the desk, it has its address again.
  const files = readdirSync(join(at, 'given')).map((name) => readFileSync(join(at, 'given', name), 'utf8'))
  expect(files.filter((text) => text.includes('Tern & Tiller'))).toHaveLength(1)
  const third = await serve(at)
  expect((await give(third, 'job-a', 'job-b'))['job-b']).toBe(first['job-b'])
  expect((await send('GET', `${third}/for/${first['job-b'] ?? ''}`)).status).toBe(200)
})

test('a letter comes into the mailbox once, of the job that its address belongs to, whatever it says', async () => {
  const at = folder()
  const base = await serve(at)
  const { 'job-a': secret = '' } = await give(base, 'job-a', 'job-b')
  for (let i = 0; i < 3; i++) {
    const put = await send('PUT', `${base}/for/${secret}/letters/letter-0001`, { ...opened, job: 'job-b' })
    expect(put.status).toBe(200)
  }
  const waiting = new Mailbox(at).waiting(9)
  expect(waiting.mail).toMatchObject([{ kind: 'helper', id: 'letter-0001', job: 'job-a' }])
})

test('letters to an ended or wrong address, or that are none, leave nothing behind', async () => {
  const at = folder()
  const base = await serve(at)
  const { 'job-a': secret = '' } = await give(base, 'job-a')
  const deed = { kind: 'ask', text: ' ' }
  const blankAsk = await send('PUT', `${base}/for/${secret}/letters/letter-0001`, { ...opened, deed })
  expect([blankAsk.status, await blankAsk.json()]).toEqual([400, { sentence: 'A few words are needed.' }])
  const long = { kind: 'ask', text: 'x'.repeat(30_000) }
  expect(
    (await send('PUT', `${base}/for/${secret}/letters/letter-0001`, { ...opened, deed: long })).status,
  ).toBe(413)
  expect((await send('PUT', `${base}/for/${secret}/letters/..%2F..%2Fkey`, opened)).status).toBe(400)
  await give(base)
  expect((await send('PUT', `${base}/for/${secret}/letters/letter-0001`, opened)).status).toBe(404)
  expect(new Mailbox(at).waiting(9).waiting).toBe(0)
})

test('who guesses addresses is stopped; who has the right one is not counted', async () => {
  const base = await serve(folder())
  const { 'job-a': secret = '' } = await give(base, 'job-a')
  const ask = async (s: string) => (await send('GET', `${base}/for/${s}`)).status
  for (let i = 0; i < 40; i++) expect(await ask(secret)).toBe(200)
  const tries = Array.from({ length: 34 }, (_, i) => `${secret.slice(0, -2)}${i + 10}`)
  const answers: number[] = []
  for (const s of tries) answers.push(await ask(s))
  expect(answers.slice(0, 30)).toEqual(Array.from({ length: 30 }, () => 404))
  expect(answers.slice(31).every((x) => x === 429)).toBe(true)
})
