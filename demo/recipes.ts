import type { Progress } from './progress'
import { type Brief, type Recipe, type Show } from '@core/records'
import { handBriefs } from './texts/briefs'
import { type Subject } from './titles'

/** The boats' recipe with what the creator has added to it over the year. */
export function workshop(recipe: Recipe): Recipe {
  return {
    ...recipe,
    lines: recipe.lines.map((l) =>
      l.id === 'film'
        ? { ...l, guidance: 'Wide first, then hands. Say what the tool is called each time it is picked up.' }
        : l.id === 'rough'
          ? { ...l, guidance: 'Cut for the hands, not for the talk.' }
          : l,
    ),
    checklists: [
      {
        id: 'before-film',
        stage: 'film',
        name: 'Before filming',
        items: [
          { id: 'batteries', text: 'Three batteries full' },
          { id: 'card', text: 'An empty card in the camera' },
          { id: 'sound', text: 'Sound heard back once' },
          { id: 'bench', text: 'Bench swept, kettle off' },
        ],
      },
    ],
    folders: ['Media/Camera', 'Media/Sound', 'Release'],
    follow: [
      {
        id: 'follow-copy',
        when: { kind: 'done', line: 'film' },
        then: { kind: 'note', text: 'Copy the cards to the second disk' },
      },
      { id: 'follow-folder', when: { kind: 'lit', stage: 'brief' }, then: { kind: 'folder' } },
    ],
  }
}

/** A second recipe of the same show: short answers to letters, in five steps. */
export function shorter(recipe: Recipe): Recipe {
  const kept = new Set(['titles', 'script', 'film', 'rough', 'choose'])
  const lines = recipe.lines
    .filter((l) => kept.has(l.id))
    .map((l) => ({
      ...l,
      needs: l.needs.filter((n) => kept.has(n)),
      minutes: Math.round(l.minutes / 2 / 5) * 5,
    }))
  return {
    ...recipe,
    name: 'A letter answered',
    lines,
    outline: [
      { id: 'letter', title: 'The letter', guidance: 'Read it as it came.' },
      { id: 'answer', title: 'The answer', guidance: 'Shown at the bench.' },
    ],
  }
}

/** What is settled of a subject, as far as it has come: by hand where it was written, else composed. */
export function briefOf(s: Subject, progress: Progress): Brief {
  const hand = handBriefs[s.title]
  const points = hand?.points ?? [
    `Where ${s.thing} gave trouble before ${s.tool} came out`,
    `How ${s.material} behaved with ${s.tool} at hand`,
    `What I would ask of ${s.tool} next time for ${s.thing}`,
  ]
  const described =
    hand?.description ??
    `How ${s.thing} came right with ${s.tool}: where it began, what went wrong, and what I would do again.`
  return {
    takeaway:
      progress.brief === 'none' ? '' : (hand?.takeaway ?? `${upper(s.thing)}, with no more than ${s.tool}.`),
    points: [0, 1, 2].map((i) =>
      progress.brief === 'whole' || (progress.brief === 'part' && i === 0) ? (points[i] ?? '') : '',
    ),
    description: progress.description ? described : '',
    pictureIdea:
      progress.brief === 'whole' ? (hand?.pictureIdea ?? `${upper(s.thing)} large, ${s.tool} beside`) : '',
    pictureWords: progress.brief === 'whole' ? s.words : '',
  }
}

/** What it might be called instead. */
export function otherTitle(s: Subject): string {
  return handBriefs[s.title]?.other ?? `What ${s.thing} and ${s.tool} taught me`
}

export function tagsOf(s: Subject, show: Show, how: Progress['tags']): string[] {
  if (how === 'none') return []
  const bare = (t: string) => t.replace(/^(the|a|an|two|one) /, '')
  const few = [
    bare(s.thing),
    s.material,
    bare(s.tool),
    s.topic.toLowerCase(),
    show.kind === 'video' ? 'wooden boats' : 'harbour life',
    show.kind === 'video' ? 'boat building' : 'river talk',
    `${bare(s.thing)} repair`,
  ]
  if (how === 'fit') return [...new Set(few)]
  return [
    ...new Set([
      ...few,
      'steam bending without a steam box',
      'green oak bending',
      'how to bend wood at home',
      'traditional boat building',
      'clinker dinghy restoration',
      'bending ribs in place',
      'plastic sleeve steaming',
      'small boat workshop',
      'wooden dinghy repair at home',
      'oak frames for small boats',
      'hand tool woodwork',
      'boat ribs and timbers',
      'tidal river boats',
      'kettle steam bending',
      'steamed timbers clinker',
      'learning to build boats',
      'bent frame repair',
      'ribs on the workbench',
      'quiet workshop',
    ]),
  ]
}

export function upper(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** What the creator's scripts begin with: one for the boats, one for the talks. */
export function ownOutline(kind: Show['kind']): Recipe['outline'] {
  return kind === 'audio'
    ? [
        { id: 'opening', title: 'Opening', guidance: 'Who it is, and why today.' },
        { id: 'work', title: 'The work', guidance: 'What a day of it looks like.' },
        { id: 'story', title: 'The story', guidance: 'The one that everybody asks for.' },
        { id: 'questions', title: 'Questions', guidance: 'What listeners wanted to know.' },
        { id: 'close', title: 'Close', guidance: 'What to take away, and what is next.' },
      ]
    : [
        { id: 'hook', title: 'Hook', guidance: 'The end result or the trouble, in one breath.' },
        { id: 'need', title: 'What you will need', guidance: 'Materials and tools, with a word on each.' },
        { id: 'making', title: 'How it is done', guidance: 'The work, in its order.' },
        { id: 'wrong', title: 'What I got wrong', guidance: 'The mistake, and how to avoid it.' },
        {
          id: 'signoff',
          title: 'Ask and sign-off',
          guidance: 'One question to viewers, then what comes next.',
        },
      ]
}
