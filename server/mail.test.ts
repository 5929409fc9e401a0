import { existsSync, mkdirSync, mkdtempSync, readdirSync, writeFileSync } from 'node:fs'
import { createServer, request as httpRequest, type Server } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { lampReelServer } from './app'
import { GivenPages } from './given'
import { Mailbox } from './mailbox'

const dist = mkdtempSync(join(tmpdir(), 'lamp-reel-dist-'))
mkdirSync(join(dist, 'assets'))
writeFileSync(join(dist, 'index.html'), '<div id="app"></div>')
const servers: Server[] = []
async function serve(folder: string, open = false): Promise<string> {
  const server = createServer(
    lampReelServer(dist, 'own', {
      mailbox: new Mailbox(folder),
      given: new GivenPages(join(folder, 'given')),
      open,
      port: 1,
      secure: false,
    }),
  )
  servers.push(server)
  await new Promise<void>((ready) => {
    server.listen(0, '127.0.0.1', ready)
  })
  const address = server.address()
  return typeof address === 'object' && address ? `http://127.0.0.1:${address.port}/mail` : ''
}
const folder = () => mkdtempSync(join(tmpdir(), 'lamp-reel-mail-'))
afterAll(() => {
  for (const s of servers) s.close()
})

const jotted = (id: string, line = 'A line') => ({
  kind: 'jotted' as const,
  id,
  at: '2026-11-24T09:00:00.000Z',
  line,
  note: '',
  url: '',
  show: '',
})
const send = (method: string, url: string, body?: unknown, headers = {}) =>
  fetch(url, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
const waiting = async (base: string, headers = {}) => {
  const body: { mail: { id: string; line: string }[]; waiting: number } = await (
    await fetch(base, { headers })
  ).json()
  return body
}

describe('the mailbox', () => {
  test('keeps a letter once, hands it over until it is taken, and never again', async () => {
    const base = await serve(folder())
    for (let i = 0; i < 3; i++)
      expect((await send('PUT', `${base}/jotted/idea-0001`, jotted('x'))).status).toBe(200)
    expect(await waiting(base)).toMatchObject({ waiting: 1, mail: [{ id: 'idea-0001', line: 'A line' }] })
    expect((await waiting(base)).waiting).toBe(1)
    await send('POST', `${base}/taken`, { ids: ['idea-0001'] })
    await send('PUT', `${base}/jotted/idea-0001`, jotted('x'))
    expect((await waiting(base)).waiting).toBe(0)
  })

  test('survives a stop between noting and deleting, and half a file', () => {
    const at = folder()
    const box = new Mailbox(at)
    box.put(jotted('idea-0001'))
    box.put(jotted('idea-0002'))
    writeFileSync(join(at, 'taken.log'), 'idea-0001\n')
    writeFileSync(join(at, 'letters', 'idea-0003.json.part'), '{"kind":')
    const again = new Mailbox(at)
    expect(again.waiting(9).mail.map((m) => m.id)).toEqual(['idea-0002'])
    expect(readdirSync(join(at, 'letters'))).toEqual(['idea-0002.json'])
    expect(again.key).toBe(box.key)
    expect(existsSync(join(at, 'key'))).toBe(true)
  })

  test('refuses what is no idea, with the reason', async () => {
    const base = await serve(folder())
    const blank = await send('PUT', `${base}/jotted/idea-0001`, jotted('x', '  '))
    expect([blank.status, await blank.json()]).toEqual([400, { sentence: 'An idea needs at least a word.' }])
    expect((await send('PUT', `${base}/jotted/..%2F..%2Fetc`, jotted('x'))).status).toBe(400)
    expect(
      (
        await fetch(`${base}/jotted/idea-0001`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: '{',
        })
      ).status,
    ).toBe(400)
    expect((await send('GET', `${base}/elsewhere`)).status).toBe(404)
  })

  test('on this machine alone it answers only to this machine’s own name', async () => {
    const base = await serve(folder())
    const status = await new Promise((done) => {
      httpRequest(base, { headers: { host: 'evil.example' } }, (r) => {
        done(r.statusCode)
      }).end()
    })
    expect(status).toBe(403)
  })

  test('open to other devices it asks for the key, except for the post-box', async () => {
    const at = folder()
    const base = await serve(at, true)
    const key = { 'x-lamp-key': new Mailbox(at).key }
    expect((await send('PUT', `${base}/jotted/idea-0001`, jotted('x'))).status).toBe(401)
    expect((await fetch(base)).status).toBe(401)
    expect((await fetch(base, { headers: { 'x-lamp-key': 'x'.repeat(32) } })).status).toBe(401)
    expect((await send('PUT', `${base}/jotted/idea-0001`, jotted('x'), key)).status).toBe(200)
    expect((await waiting(base, key)).waiting).toBe(1)
    expect((await fetch(`${base}/about`)).status).toBe(200)
  })
})

describe('the calendar to subscribe to', () => {
  test('stands under a secret address, follows what the desk keeps, and is gone once revoked', async () => {
    const base = await serve(folder())
    const ics = (n: number) => `BEGIN:VCALENDAR\r\nX-N:${n}\r\nEND:VCALENDAR\r\n`
    const secretOf = async (response: Promise<Response>) => {
      const body: { secret: string } = await (await response).json()
      return body.secret
    }
    const secret = await secretOf(send('PUT', `${base}/calendar`, { ics: ics(1), renew: false }))
    expect(await secretOf(send('PUT', `${base}/calendar`, { ics: ics(2), renew: false }))).toBe(secret)
    const read = await fetch(`${base}/calendar/${secret}.ics`)
    expect([read.headers.get('content-type'), await read.text()]).toEqual([
      expect.stringContaining('text/calendar'),
      ics(2),
    ])
    const next = await secretOf(send('PUT', `${base}/calendar`, { ics: ics(3), renew: true }))
    expect([
      (await fetch(`${base}/calendar/${secret}.ics`)).status,
      (await fetch(`${base}/calendar/${next}.ics`)).status,
    ]).toEqual([404, 200])
    await send('DELETE', `${base}/calendar`)
    expect((await fetch(`${base}/calendar/${next}.ics`)).status).toBe(404)
    expect((await send('PUT', `${base}/calendar`, { ics: 'BEGIN:VCARD', renew: false })).status).toBe(400)
  })
})

describe('the post-box', () => {
  const wish = {
    kind: 'wish',
    line: 'Knots, <b>please</b>',
    url: '',
    show: '',
    name: '',
    mail: '',
    tell: false,
  }
  test('is closed until it is opened; then takes a wish as plain text, checks its picture, and not too many', async () => {
    const base = await serve(folder())
    expect((await send('PUT', `${base}/wishes/wish-0001`, wish)).status).toBe(403)
    await send('PUT', `${base}/about`, { shows: [{ id: 's', title: 'Tern & Tiller' }], open: true })
    expect((await send('PUT', `${base}/wishes/wish-0001`, wish)).status).toBe(200)
    expect((await waiting(base)).mail[0]?.line).toBe('Knots, <b>please</b>')
    const fake = await send('PUT', `${base}/wishes/wish-0002`, {
      ...wish,
      picture: {
        type: 'image/png',
        width: 1,
        height: 1,
        base64: Buffer.from('<svg onload=1>').toString('base64'),
      },
    })
    expect([fake.status, await fake.json()]).toEqual([
      400,
      { sentence: expect.stringContaining('not what its name says') },
    ])
    const statuses = []
    for (let i = 3; i < 9; i++)
      statuses.push(
        (
          await send('PUT', `${base}/wishes/wish-000${i}`, {
            ...wish,
            line: i === 3 ? 'x'.repeat(301) : 'More',
          })
        ).status,
      )
    expect(statuses.slice(0, 2)).toEqual([400, 200])
    expect(statuses.at(-1)).toBe(429)
  })
})

describe('what lies in the folder and is no letter', () => {
  test('is set aside and said; the letters before and behind it come', async () => {
    const at = folder()
    const letters = join(at, 'letters')
    mkdirSync(letters)
    mkdirSync(join(letters, 'a folder'))
    mkdirSync(join(letters, 'x.part'))
    writeFileSync(join(letters, 'empty.json'), '')
    writeFileSync(join(letters, 'half.json'), '{"kind":"jot')
    writeFileSync(join(letters, 'half.json.part'), '{"kind":"jot')
    for (let i = 0; i < 30; i++) writeFileSync(join(letters, `foreign-${i}.json`), '[1]')
    writeFileSync(join(letters, 'other-name.json'), JSON.stringify(jotted('idea-0009')))
    writeFileSync(join(at, 'about.json'), '{"shows":')
    const base = await serve(at)
    for (const id of ['idea-0001', 'idea-0002'])
      expect((await send('PUT', `${base}/jotted/${id}`, jotted(id))).status).toBe(200)
    const found = await waiting(base)
    expect(found.mail.map((m) => m.id).sort()).toEqual(['idea-0001', 'idea-0002'])
    expect(found).toMatchObject({ waiting: 2, unreadable: 35 })
    expect(readdirSync(join(at, 'unreadable'))).toHaveLength(35)
    expect(await (await fetch(`${base}/about`)).json()).toEqual({ shows: [], open: false })
  })

  test('a letter that the desk cannot take is moved aside, and nothing waits behind it', async () => {
    const base = await serve(folder())
    for (const id of ['idea-0001', 'idea-0002']) await send('PUT', `${base}/jotted/${id}`, jotted(id))
    await send('POST', `${base}/refused`, { ids: ['idea-0001', 'no-such-letter'] })
    expect((await waiting(base)).mail.map((m) => m.id)).toEqual(['idea-0002'])
  })
})

test('a mailbox has one desk; a second one is told, and may take over', async () => {
  const base = await serve(folder())
  await send('PUT', `${base}/jotted/idea-0001`, jotted('idea-0001'))
  const at = (desk: string) => waiting(base, { 'x-lamp-desk': desk })
  expect((await at('one')).mail).toHaveLength(1)
  expect(await at('two')).toMatchObject({ other: true, mail: [] })
  expect((await send('POST', `${base}/taken`, { ids: ['idea-0001'] }, { 'x-lamp-desk': 'two' })).status).toBe(
    409,
  )
  await send('PUT', `${base}/desk`, undefined, { 'x-lamp-desk': 'two' })
  expect((await at('two')).mail).toHaveLength(1)
  expect(await at('one')).toMatchObject({ other: true })
})

test('an empty key file opens nothing: a key is made anew', async () => {
  const at = folder()
  writeFileSync(join(at, 'key'), '\n')
  const base = await serve(at, true)
  expect((await fetch(base, { headers: { 'x-lamp-key': '' } })).status).toBe(401)
  expect(new Mailbox(at).key).toMatch(/^[\w-]{24,}$/)
})

test('bodies: nested deep they are refused before they are read, too large with an answer, and without the key not looked at', async () => {
  const at = folder()
  const base = await serve(at, true)
  const key = { 'x-lamp-key': new Mailbox(at).key }
  const deep = '['.repeat(900_000) + ']'.repeat(900_000)
  const put = (body: string, headers: Record<string, string>) =>
    fetch(`${base}/jotted/idea-0001`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', ...headers },
      body,
    })
  expect((await put(deep, key)).status).toBe(400)
  expect((await put('{"broken', {})).status).toBe(401)
  const chunked = await fetch(`${base}/jotted/idea-0001`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', ...key },
    body: new ReadableStream({
      start(stream) {
        for (let i = 0; i < 80; i++) stream.enqueue(new TextEncoder().encode('"' + 'a'.repeat(250_000)))
        stream.close()
      },
    }),
    ...{ duplex: 'half' },
  })
  expect(chunked.status).toBe(413)
  expect(await chunked.json()).toMatchObject({ sentence: expect.stringMatching(/too large/) })
})
