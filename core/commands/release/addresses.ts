import type { Episode, Id } from '../../records'
import { ok, type Result } from '../../result'
import { readAddress } from '../../release/address'

/** Addresses as they were typed, by outlet, put into an episode; an empty one takes it away. */
export function withAddresses(episode: Episode, typed: Readonly<Record<Id, string>>): Result<Episode> {
  const addresses = { ...episode.addresses }
  for (const [outlet, text] of Object.entries(typed)) {
    const read = readAddress(text)
    if (!read.ok) return read
    if (read.value === '') delete addresses[outlet]
    else addresses[outlet] = read.value
  }
  return ok({ ...episode, addresses: Object.keys(addresses).length === 0 ? undefined : addresses })
}
