import type { Episode, Id } from '../../records'
import { ok, type Result } from '../../result'
import { readAddress } from '../../release/address'

/** Addresses as they were typed, by outlet, put into an episode; an empty one takes it away. */
export function withAddresses(episode: Episode, typed: Readonly<Record<Id, string>>): Result<Episode> {
  const addresses = new Map(Object.entries(episode.addresses ?? {}))
  for (const [outlet, text] of Object.entries(typed)) {
    const read = readAddress(text)
    if (!read.ok) return read
    if (read.value === '') addresses.delete(outlet)
    else addresses.set(outlet, read.value)
  }
  return ok({ ...episode, addresses: addresses.size === 0 ? undefined : Object.fromEntries(addresses) })
}
