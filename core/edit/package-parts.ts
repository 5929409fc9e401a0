/** What may be handed over to who cuts an episode. */
export const packageParts = {
  script: 'script with its cues',
  shots: 'shots, with the takes that were kept',
  lists: 'graphics, sound and music, remarks for the edit',
  notes: 'notes on the cut',
  guide: 'how the show looks and sounds',
  links: 'links',
} as const
export type PackagePart = keyof typeof packageParts

/** Whether a word names such a part. */
export function isPackagePart(word: unknown): word is PackagePart {
  return typeof word === 'string' && Object.hasOwn(packageParts, word)
}
