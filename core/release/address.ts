import { ok, refused, type Result } from '../result'
import type { Episode } from '../records'

/** An address as it was pasted, whole; refused where it is none. Empty is none. */
export function readAddress(typed: string): Result<string> {
  const text = typed.trim()
  if (text === '') return ok('')
  const whole = /^[a-z][a-z0-9+.-]*:/i.test(text) ? text : `https://${text}`
  return /^https?:\/\/[^\s/]+\.[^\s/]+/i.test(whole) && URL.canParse(whole)
    ? ok(whole)
    : refused(
        `“${text.slice(0, 60)}” is not an address. Paste the whole of it, for example https://video.example/watch/1.`,
        'episodes.addresses',
      )
}

/** The first address at which an episode lives; its outlets in their order. */
export function addressOf(episode: Episode, outlets: readonly string[]): string | undefined {
  const all = episode.addresses ?? {}
  return outlets.map((id) => all[id]).find((a) => a !== undefined) ?? Object.values(all)[0]
}
