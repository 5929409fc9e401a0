import type { Progress } from './progress'
import { type Brief, type Recipe, type Show } from '@core/records'
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

export function briefOf(s: Subject, progress: Progress): Brief {
  const points = [
    `${upper(s.thing)} shows where to begin`,
    `${upper(s.material)} has its own pace`,
    `Trust ${s.tool}, then your thumb`,
  ]
  return {
    takeaway: progress.brief === 'none' ? '' : `You can do ${s.thing} yourself, with ${s.tool} and patience.`,
    points:
      progress.brief === 'whole'
        ? points
        : progress.brief === 'part'
          ? [points[0] ?? '', '', '']
          : ['', '', ''],
    description: progress.description
      ? `${s.title}: how ${s.thing} comes right with ${s.material}, ${s.tool} and an afternoon. What to look for first, where it goes wrong, and what I would do again.`
      : '',
    pictureIdea: progress.brief === 'whole' ? `The eye should land on ${s.thing}` : '',
    pictureWords: progress.brief === 'whole' ? s.words : '',
  }
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
