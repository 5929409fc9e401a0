import type { IdeaStanding } from '../../records'

/** What each standing is called. */
export const standingNames: Readonly<Record<IdeaStanding, string>> = {
  unsorted: 'unsorted',
  next: 'next',
  promising: 'promising',
  someday: 'some day',
}
