import { Refusal, Standing, type Answer, type HandedThing, type OutletLine } from '@core/line/message'

/** How long an answer is waited for, ms. */
const patience = 20_000

function base64(bytes: Uint8Array): string {
  let text = ''
  for (let at = 0; at < bytes.length; at += 32_768)
    text += String.fromCharCode(...bytes.subarray(at, at + 32_768))
  return btoa(text)
}

/** The simulated outlet that ships with the server. */
export class StandInLine implements OutletLine {
  constructor(private readonly key: string) {}

  async hand(thing: HandedThing, picture: Uint8Array | undefined): Promise<Answer> {
    const lost = (says: string): Answer => ({ kind: 'lost', says })
    try {
      const answer = await fetch(`/stand-in/things/${thing.id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json', authorization: `Bearer ${this.key}` },
        body: JSON.stringify({ thing, ...(picture ? { picture: base64(picture) } : {}) }),
        signal: AbortSignal.timeout(patience),
      })
      const body: unknown = await answer.json()
      const taken = Standing.safeParse(body)
      if (answer.ok && taken.success) return { kind: 'taken', standing: taken.data }
      const refused = Refusal.safeParse(body)
      if (refused.success) return { kind: 'refused', problems: refused.data.problems }
      return lost(
        answer.status === 401
          ? 'The outlet does not know this desk any more. Join it once more.'
          : 'The outlet is down. Hand it over again in a while.',
      )
    } catch {
      return lost('No answer came; it may have been taken. Hand it over again: it never becomes two.')
    }
  }

  async ask(id: string): Promise<Standing | undefined> {
    try {
      const answer = await fetch(`/stand-in/things/${id}`, {
        headers: { authorization: `Bearer ${this.key}` },
        signal: AbortSignal.timeout(patience),
      })
      const read = Standing.safeParse(await answer.json())
      return answer.ok && read.success ? read.data : undefined
    } catch {
      return undefined
    }
  }
}

/** The stand-in's key, as it tells the desk on this machine; nothing where there is none. */
export async function standInKey(): Promise<string | undefined> {
  try {
    const answer = await fetch('/stand-in/key', { signal: AbortSignal.timeout(patience) })
    const body: unknown = await answer.json()
    const key: unknown = typeof body === 'object' && body !== null ? Reflect.get(body, 'key') : undefined
    return typeof key === 'string' ? key : undefined
  } catch {
    return undefined
  }
}
