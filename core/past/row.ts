/** One episode of the past as it was read from elsewhere; `line` is where it stands in its file. */
export interface PastRow {
  line: number
  title: string
  /** When it went out, ms since 1970. */
  at: number
  number?: number
  /** Seconds. */
  length?: number
  address?: string
  views?: number
  topics: string[]
  tags: string[]
  description?: string
}

/** What was read: rows that can be taken, and what is wrong with the others, by line. */
export interface ReadPast {
  rows: PastRow[]
  faults: { line: number; sentence: string }[]
}
