import type { Part, StepKind } from '@core/records'

/** What a step may be tied to, in words. */
export const partNames: Readonly<Record<Part, string>> = {
  brief: 'the brief',
  title: 'the title',
  keyword: 'a keyword',
  script: 'the script',
  shots: 'the shots',
  length: 'the length',
  picture: 'a picture',
  thumbnail: 'the thumbnail',
  description: 'the description',
  tags: 'the tags',
  chapters: 'the chapters',
  links: 'the links',
}

/** Kinds of work, in words. */
export const kindNames: Readonly<Record<StepKind, string>> = {
  research: 'research',
  write: 'writing',
  prepare: 'preparing',
  film: 'filming',
  record: 'recording',
  edit: 'editing',
  design: 'pictures',
  admin: 'odds and ends',
}
