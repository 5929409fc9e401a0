import type { Aside } from '@core/formats/backup'
import type { Problem } from '@core/result'

/** What the library tells those who watch it. */
export interface Watcher {
  /** The records are new; ask for them. */
  changed: () => void
  /** All was read anew: what is kept beside the records may be of others than those that are there now. */
  readAnew?: () => void
  /** Something could not be stored; what was shown has been taken back. */
  trouble: (problem: Problem) => void
  /** Records that could not be read are set aside; all of them. */
  aside?: (aside: readonly Aside[]) => void
  /** Something that is shown waits to be stored; or all is. */
  writing?: (waits: boolean) => void
}
