import type { DealFields } from '../commands/deals'

/** A deal for tests: twelve reads of 45 seconds, one a month, in the first third. */
export const exampleDeal: DealFields = {
  show: 'show',
  sponsor: 'Kelpline Rope',
  reads: 12,
  perMonth: 1,
  from: '2026-06-01',
  seconds: 45,
  place: 'opening',
  words: '',
  say: [],
  code: 'TILLER10',
  link: 'https://kelpline.example/tiller',
  disclosure: 'pays for this',
  without: ['Hawser & Co'],
  shownBefore: 7,
  fee: 240,
  note: '',
}
