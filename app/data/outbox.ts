import { JottedMail } from '@core/formats/mail'
import { mailKey } from './mail-key'

const prefix = 'lamp-reel.jot.'

/**
 * Ideas jotted in this browser that nobody has taken yet: an entry each, so that two pages never write over each other.
 * They stay until the mailbox, or the desk in this same browser, has them safe.
 */
export function waitingHere(): JottedMail[] {
  const found: JottedMail[] = []
  try {
    for (let i = 0; i < localStorage.length; i++) {
      const name = localStorage.key(i)
      if (!name?.startsWith(prefix)) continue
      const read = JottedMail.safeParse(JSON.parse(localStorage.getItem(name) ?? 'null'))
      if (read.success) found.push(read.data)
    }
  } catch {
    /* no storage: nothing waits */
  }
  return found.sort((a, b) => (a.at < b.at ? -1 : 1))
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

/** What a call to the mailbox came to: its answer, what it says against it, or that nobody answers. */
export type Answer =
  { is: 'fine'; body: unknown } | { is: 'refused'; status: number; sentence: string } | { is: 'away' }

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
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    if (!response.headers.get('content-type')?.includes('json')) return { is: 'away' }
    const answer: unknown = await response.json()
    if (response.ok) return { is: 'fine', body: answer }
    const sentence =
      typeof answer === 'object' && answer !== null && 'sentence' in answer
        ? String(answer.sentence)
        : 'The mailbox refuses it.'
    return { is: 'refused', status: response.status, sentence }
  } catch {
    return { is: 'away' }
  }
}
