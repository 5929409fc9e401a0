import { ExampleStorage } from './example-storage'
import { mailKey } from './mail-key'
import { callMailbox, forgetHere, keepHere, waitingHere } from './outbox'

let storage: ExampleStorage
beforeEach(() => {
  storage = new ExampleStorage()
  Object.assign(globalThis, {
    localStorage: storage,
    location: { hash: '', pathname: '/jot', search: '' },
    history: {
      replaceState: () => {
        Object.assign(globalThis.location, { hash: '' })
      },
    },
  })
})

const idea = (id: string, at: string, line = 'A line') => ({
  kind: 'jotted' as const,
  id,
  at,
  line,
  note: '',
  url: '',
  show: '',
})

test('ideas wait each under a name of its own, the oldest first; what is broken or another’s is passed over', () => {
  expect(keepHere(idea('idea-0002', '2026-11-24T10:00:00.000Z'))).toBe(true)
  expect(keepHere(idea('idea-0001', '2026-11-24T09:00:00.000Z'))).toBe(true)
  storage.setItem('lamp-reel.theme', 'booth')
  storage.setItem('lamp-reel.jot.broken', '{"kind":"jotted"}')
  expect(waitingHere().map((i) => i.id)).toEqual(['idea-0001', 'idea-0002'])
  forgetHere(['idea-0001'])
  expect(waitingHere().map((i) => i.id)).toEqual(['idea-0002'])
})

test('a browser without room says so, and loses nothing that waits', () => {
  keepHere(idea('idea-0001', '2026-11-24T09:00:00.000Z'))
  storage.full = true
  expect(keepHere(idea('idea-0002', '2026-11-24T10:00:00.000Z'))).toBe(false)
  expect(waitingHere()).toHaveLength(1)
})

test('the key comes from the address once, is kept, and leaves the address', () => {
  Object.assign(globalThis.location, { hash: '#key=abc-DEF_1' })
  expect(mailKey()).toBe('abc-DEF_1')
  expect(globalThis.location.hash).toBe('')
  expect(mailKey()).toBe('abc-DEF_1')
})

describe('a call to the mailbox', () => {
  const answering = (status: number, body: string, type = 'application/json') => {
    Object.assign(globalThis, {
      fetch: () => Promise.resolve(new Response(body, { status, headers: { 'content-type': type } })),
    })
  }
  test('tells an answer, a refusal with its sentence, and nobody there apart', async () => {
    answering(200, '{"kept":"x"}')
    expect(await callMailbox('PUT', '/jotted/x', {})).toEqual({ kind: 'answered', body: { kept: 'x' } })
    answering(507, '{"sentence":"The mailbox is full."}')
    expect(await callMailbox('PUT', '/jotted/x', {})).toEqual({
      kind: 'refused',
      status: 507,
      sentence: 'The mailbox is full.',
    })
    answering(200, '<html></html>', 'text/html')
    expect(await callMailbox('GET', '/')).toEqual({ kind: 'away' })
    Object.assign(globalThis, { fetch: () => Promise.reject(new TypeError('no network')) })
    expect(await callMailbox('GET', '/')).toEqual({ kind: 'away' })
  })
})
