import type { Deal, Episode, Show } from '../records'
import { dealFor } from './deal-of'
import type { DealRead } from './deal-reads'

/** What an episode brought, and what an hour of it came to. */
export interface Worth {
  /** Fees of reads that count, and what was typed. */
  fees: number
  typed: number
  /** Of every hour that was logged; nothing where none was. */
  anHour: number | undefined
}

/**
 * What an episode is worth by the hour: the fee of its read, if that counts, and the income that was typed, over the minutes logged.
 * `read` is its read as its deal has it.
 */
export function worthOf(
  episode: Episode,
  show: Show,
  deals: ReadonlyMap<string, Deal>,
  read: Pick<DealRead, 'fee'> | undefined,
  minutes: number,
): Worth {
  const deal = dealFor(deals, episode, show)
  const fees = deal && read && read.fee !== 'none' && read.fee !== 'to come' ? (deal.fee ?? 0) : 0
  const typed = episode.income ?? 0
  return { fees, typed, anHour: minutes > 0 ? ((fees + typed) * 60) / minutes : undefined }
}
