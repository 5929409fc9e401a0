import type { Problem } from '@core/result'
import { Gone } from './revision'

/** A part of the program could not be fetched. */
export class NotFetched extends Error {
  constructor() {
    super('not fetched')
  }
}

/** What a failure of the store means to a person, and the way out. */
export function problemOf(error: unknown): Problem {
  if (error instanceof Gone)
    return {
      sentence:
        'The browser has emptied Lamp Reel’s store, or another page deleted it. What is on screen is still held here: put it back, or download it as a back-up, before this page is closed.',
      path: 'gone',
    }
  if (error instanceof NotFetched)
    return {
      sentence: 'Lamp Reel does not answer, so this was not done. See that it still runs, then do it again.',
      path: 'program',
    }
  const name = error instanceof Error ? `${error.name} ${error.message}` : String(error)
  if (/quota/i.test(name))
    return {
      sentence:
        'The browser has no room left, so the last change was not kept. Download a back-up now, then free some space or remove pictures.',
      path: 'storage',
    }
  if (/version/i.test(name))
    return {
      sentence: 'This data was last used by a newer Lamp Reel. Reload the page to get it.',
      path: 'storage',
    }
  return {
    sentence:
      'The browser refuses to store anything here, perhaps because this is a private window. Open Lamp Reel in an ordinary window, or download a back-up of what is on screen.',
    path: 'storage',
  }
}
