import { JottedMail } from '@core/formats/mail'
import { mailKey } from './mail-key'

const prefix = 'lamp-reel.jot.'

/**
 * Ideas jotted in this browser that nobody has taken yet: an entry each, so that two pages never write over
 * each other. They stay until the mailbox, or the desk in this same browser, has them safe.
 */
export function waitingHere(): JottedMail[] {
  const found: JottedMail[] = []
  for (const name of namesHere()) {
    const read = JottedMail.safeParse(jsonHere(name))
    if (read.success) found.push(read.data)
  }
  return found.sort((a, b) => (a.at < b.at ? -1 : 1))
}

/** The names of what waits here; none where there is no storage. */
function namesHere(): string[] {
  try {
    return Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((name) =>
      name.startsWith(prefix),
    )
  } catch {
    return []
  }
}

/** One that cannot be read holds up no other. */
function jsonHere(name: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(name) ?? 'null')
  } catch {
    return undefined
  }
}

/** Keeps an idea here; false when the browser refuses to store it. */
export function keepHere(idea: JottedMail): boolean {
  try {
    localStorage.setItem(prefix + idea.id, JSON.stringify(idea))
    return true
  } catch {
    return false
  }
}

/** Forgets ideas that are safe elsewhere. */
export function forgetHere(ids: readonly string[]): void {
  for (const id of ids) localStorage.removeItem(prefix + id)
}

let desk: string | undefined
/** This browser as a desk: a mailbox has one, and knows it by this name. */
function deskName(): string {
  const key = 'lamp-reel.desk'
  try {
    desk ??= localStorage.getItem(key) ?? undefined
    if (desk === undefined) {
      desk = crypto.randomUUID()
      localStorage.setItem(key, desk)
    }
  } catch {
    desk ??= crypto.randomUUID()
  }
  return desk
}

/** What a call to the mailbox came to: its answer, what it says against it, or that nobody answers. */
export type Answer =
  | { kind: 'answered'; body: unknown }
  | { kind: 'refused'; status: number; sentence: string }
  | { kind: 'away' }

/** Calls the mailbox. A server that is none of ours (no JSON) counts as away. */
export async function callMailbox(
  method: 'GET' | 'PUT' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<Answer> {
  try {
    const response = await fetch(`/mail${path}`, {
      method,
      headers: {
        'x-lamp-key': mailKey(),
        'x-lamp-desk': deskName(),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    if (!response.headers.get('content-type')?.includes('json')) return { kind: 'away' }
    const answer: unknown = await response.json()
    if (response.ok) return { kind: 'answered', body: answer }
    const sentence =
      typeof answer === 'object' && answer !== null && 'sentence' in answer
        ? String(answer.sentence)
        : 'The mailbox refuses it.'
    return { kind: 'refused', status: response.status, sentence }
  } catch {
    return { kind: 'away' }
  }
}
