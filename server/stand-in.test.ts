import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Parser from 'rss-parser'
import type { HandedThing } from '../core/line/message'
import { lampReelServer } from './app'
import { viewsAfter } from './stand-in/growth'
import { StandIn } from './stand-in/store'

const dist = mkdtempSync(join(tmpdir(), 'lamp-reel-dist-'))
mkdirSync(join(dist, 'assets'))
writeFileSync(join(dist, 'index.html'), '<div id="app"></div>')
const servers: Server[] = []
let now = Date.parse('2026-11-24T09:00:00.000Z')
async function serve(folder = mkdtempSync(join(tmpdir(), 'lamp-reel-stand-in-'))) {
  const standIn = new StandIn(folder, () => now)
  const server = createServer(lampReelServer(dist, 'own', undefined, standIn))
  servers.push(server)
  await new Promise<void>((ready) => {
    server.listen(0, '127.0.0.1', ready)
  })
  const address = server.address()
  const base = typeof address === 'object' && address ? `http://127.0.0.1:${address.port}/stand-in` : ''
  return { base, standIn, folder, server }
}
afterAll(() => {
  for (const s of servers) s.close()
})

const thing: HandedThing = {
  id: 'ULP6-outlet-video',
  show: 'Harbour Hours',
  kind: 'audio',
  number: 19,
  title: 'The ferry pilot & the "tide"',
  description: 'Two banks, one hand <b>on the handle</b>.',
  tags: ['ferry', 'tide'],
  chapters: [
    { start: 0, title: 'Begin' },
    { start: 30, title: 'The bank' },
    { start: 60, title: 'Home' },
  ],
  links: [],
  guests: ['Ines Varga'],
  at: '2026-11-24T10:00:00.000Z',
}
const put = (base: string, key: string, of: HandedThing, picture?: string) =>
  fetch(`${base}/things/${of.id}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', authorization: `Bearer ${key}` },
    body: JSON.stringify({ thing: of, ...(picture === undefined ? {} : { picture }) }),
  })
beforeEach(() => {
  now = Date.parse('2026-11-24T09:00:00.000Z')
})

test('it takes a thing with its key, once however often, and puts it out at its moment, also after a restart', async () => {
  const { base, standIn, folder, server } = await serve()
  expect((await put(base, 'not the key', thing)).status).toBe(401)
  expect((await put(base, standIn.key, thing)).status).toBe(201)
  const again = await put(base, standIn.key, { ...thing, title: 'The ferry pilot' })
  expect(again.status).toBe(200)
  expect(await again.json()).toMatchObject({ state: 'scheduled', views: 0 })
  expect(standIn.things.map((t) => t.thing.title)).toEqual(['The ferry pilot'])
  expect((await fetch(`${base}/watch/${thing.id}`)).status).toBe(404)

  server.close()
  const next = await serve(folder)
  now = Date.parse('2026-11-24T12:00:00.000Z')
  expect(next.standIn.key).toBe(standIn.key)
  const asked = await fetch(`${next.base}/things/${thing.id}`, {
    headers: { authorization: `Bearer ${standIn.key}` },
  })
  expect(await asked.json()).toMatchObject({ state: 'live' })
  const page = await (await fetch(`${next.base}/watch/${thing.id}`)).text()
  expect(page).toContain('The ferry pilot')
})

test('what is handed over is shown as text, never as a page of its own', async () => {
  const { base, standIn } = await serve()
  const hostile = '<img src=x onerror=alert(1)>'
  await put(base, standIn.key, {
    ...thing,
    title: hostile,
    description: hostile,
    show: hostile,
    at: '2026-11-24T08:00:00.000Z',
  })
  for (const path of ['', `/watch/${thing.id}`]) {
    const answer = await fetch(base + path)
    const text = await answer.text()
    expect(text).not.toContain('<img src=x')
    expect(text).toContain('&lt;img src=x')
    expect(answer.headers.get('content-security-policy')).toContain("default-src 'none'")
  }
})

test('it refuses by part, and says how to mend each', async () => {
  const { base, standIn } = await serve()
  const answer = await put(
    base,
    standIn.key,
    {
      ...thing,
      title: 'x'.repeat(101),
      description: 'y'.repeat(5001),
      tags: Array.from({ length: 60 }, (_, i) => `a longer tag ${i}`),
      chapters: [{ start: 4, title: 'Late' }],
    },
    Buffer.from('no picture').toString('base64'),
  )
  expect(answer.status).toBe(422)
  const { problems }: { problems: { part: string; says: string }[] } = await answer.json()
  expect(problems.map((p) => p.part)).toEqual(['title', 'description', 'tags', 'chapters', 'thumbnail'])
  for (const p of problems) expect(p.says).toMatch(/\.$/)
  expect(standIn.things).toEqual([])
  expect((await put(base, standIn.key, { ...thing, id: 'other-thing' })).status).toBe(201)
})

test('told to, it is down, refuses a tag, or loses its answer after taking the thing; handed over again it is one', async () => {
  const { base, standIn } = await serve()
  standIn.trouble = { kind: 'down' }
  expect((await put(base, standIn.key, thing)).status).toBe(503)
  standIn.trouble = { kind: 'refuse a tag', tag: 'Tide' }
  expect(await (await put(base, standIn.key, thing)).json()).toEqual({
    problems: [
      { part: 'tags', says: 'The tag “tide” is not taken here. Take it out and hand it over again.' },
    ],
  })
  standIn.trouble = { kind: 'lose the answer' }
  await expect(put(base, standIn.key, thing).then((answer) => answer.json())).rejects.toThrow()
  expect(standIn.things).toHaveLength(1)
  expect((await put(base, standIn.key, thing)).status).toBe(200)
  expect(standIn.things).toHaveLength(1)
})

test('its clock is set ahead on its page, so that a release is seen out without waiting', async () => {
  const { base, standIn } = await serve()
  await put(base, standIn.key, thing)
  const set = (ahead: string) =>
    fetch(`${base}/trouble`, {
      method: 'POST',
      body: new URLSearchParams({ kind: 'none', ahead }),
      redirect: 'manual',
    })
  expect((await set('2')).status).toBe(303)
  expect((await fetch(`${base}/watch/${thing.id}`)).status).toBe(200)
  await set('1e9')
  expect(standIn.ahead).toBe(2)
  await set('0')
  expect((await fetch(`${base}/watch/${thing.id}`)).status).toBe(404)
})

test('its key is for pages of its own; names of other machines find nothing', async () => {
  const { base, standIn } = await serve()
  const key = (site?: string) =>
    fetch(`${base}/key`, site === undefined ? {} : { headers: { 'sec-fetch-site': site } })
  expect(await (await key('same-origin')).json()).toEqual({ key: standIn.key })
  expect((await key('cross-site')).status).toBe(403)
})

test('numbers grow, quickly first, and never shrink; each thing has its own reach', () => {
  for (const id of ['a', 'ULP6-outlet-video', 'x'.repeat(99)]) {
    const days = [0, 0.1, 1, 2, 7, 28, 400].map((d) => viewsAfter(id, d))
    expect(days[0]).toBe(0)
    expect(days).toEqual([...days].sort((a, b) => a - b))
    expect((days[2] ?? 0) - (days[0] ?? 0)).toBeGreaterThan((days[5] ?? 0) / 28)
  }
  expect(viewsAfter('a', 28)).not.toBe(viewsAfter('b', 28))
})

test('its feed is read by xmllint and a feed reader; only what is out stands in it', async () => {
  const { base, standIn } = await serve()
  await put(base, standIn.key, { ...thing, at: '2026-11-24T08:00:00.000Z', transcript: 'WEBVTT\n' })
  await put(base, standIn.key, { ...thing, id: 'later-one', title: 'Later' })
  await put(base, standIn.key, { ...thing, id: 'a-film', kind: 'video', at: '2026-11-24T08:00:00.000Z' })
  const xml = await (await fetch(`${base}/feed/harbour-hours.xml`)).text()
  execFileSync('xmllint', ['--noout', '-'], { input: xml })
  const parser = new Parser({
    customFields: { item: ['podcast:season', 'podcast:episode', 'podcast:person'] },
  })
  const feed = await parser.parseString(xml)
  expect(feed.title).toBe('Harbour Hours')
  expect(feed.items).toHaveLength(1)
  expect(feed.items[0]).toMatchObject({
    title: thing.title,
    guid: thing.id,
    isoDate: '2026-11-24T08:00:00.000Z',
    'podcast:season': '2026',
    'podcast:episode': '19',
  })
  expect(feed.items[0]?.enclosure?.type).toBe('audio/mpeg')
  for (const element of ['podcast:chapters', 'podcast:transcript']) {
    const url = new RegExp(`<${element} url="([^"]+)"`).exec(xml)?.[1] ?? ''
    expect((await fetch(url)).status).toBe(200)
  }
  expect((await fetch(`${base}/feed/nobody.xml`)).status).toBe(404)
})
