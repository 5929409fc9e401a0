/** What is gone through at a copy-edit where the recipe has no list of its own yet. */
export const usualChecks = [
  'Read aloud once, from start to end',
  'The first half minute keeps what the title promises',
  'Names, figures and sizes looked up again',
  'Every point is made, and none twice',
  'What is asked of the viewer is asked once',
] as const
