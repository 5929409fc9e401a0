import type { Chapter } from '../script/chapters'
import { sayTime } from '../script/timecode'

/** Chapters as lines for a description: `0:00 Hook`. */
export function chaptersText(list: readonly Chapter[]): string {
  return list.map((c) => `${sayTime(c.start)} ${c.title}\n`).join('')
}
