import type { Chapter } from '../script/chapters'

/** Chapters in the JSON Chapters format 1.2.0 of the open podcast namespace. */
export function jsonChapters(list: readonly Chapter[], title: string): string {
  return `${JSON.stringify({ version: '1.2.0', title, chapters: list.map((c) => ({ startTime: c.start, title: c.title })) }, null, 2)}\n`
}
