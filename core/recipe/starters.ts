import type { Lead, Moment, Part, Recipe, RecipeLine, Show, Stage, StepKind } from '../records'

function stage(id: Stage['kind'], name: string, parts: Part[], after: string[]): Stage {
  return { id, kind: id, name, parts, after }
}

function line(
  id: string,
  inStage: string,
  name: string,
  kind: StepKind,
  minutes: number,
  lead: Lead,
  needs: string[],
  part?: Part,
): RecipeLine {
  return { id, stage: inStage, name, kind, minutes, lead, needs, required: true, ...(part ? { part } : {}) }
}

const before = (days: number): Lead => ({ kind: 'before', days })

const pattern = '{description}\n\n{chapters}\n\n{links}\n\n{credits}\n\n{sponsor}\n\n{call}'

function stages(kind: Show['kind'], full: boolean): Stage[] {
  const audio = kind === 'audio'
  return [
    stage('brief', 'Brief', full ? ['brief', 'title'] : ['title'], []),
    stage('script', 'Script', ['script'], ['brief']),
    stage('film', audio ? 'Record' : 'Film', [], ['script']),
    stage('edit', 'Edit', ['length'], ['film']),
    stage('thumbnail', audio ? 'Cover' : 'Thumbnail', ['thumbnail'], full ? ['film'] : ['brief']),
    stage('release', 'Release', ['description', 'tags', 'chapters'], ['edit', 'thumbnail']),
    ...(full ? [stage('after', 'After', [], ['release'])] : []),
  ]
}

function outline(kind: Show['kind']): Recipe['outline'] {
  return kind === 'audio'
    ? [
        { id: 'opening', title: 'Introduction', guidance: 'Who it is, and why today.' },
        { id: 'work', title: 'The talk', guidance: 'What you want to hear first.' },
        { id: 'questions', title: 'Questions', guidance: 'One a line, the ones you must not forget first.' },
        { id: 'close', title: 'Thanks', guidance: 'What to take away, where to find them, what is next.' },
      ]
    : [
        { id: 'hook', title: 'Opening', guidance: 'What it is about, in one breath, and why stay.' },
        { id: 'need', title: 'First part', guidance: 'Where it begins, and what one must know.' },
        { id: 'making', title: 'Second part', guidance: 'The heart of it, in its order.' },
        { id: 'wrong', title: 'Third part', guidance: 'What it leads to, or where it went wrong.' },
        { id: 'signoff', title: 'Close', guidance: 'What to take away, then what comes next.' },
      ]
}

/** What both starters share: sections, the description's pattern, two folders. */
function common(
  kind: Show['kind'],
  at: Moment,
): Pick<Recipe, 'outline' | 'pattern' | 'call' | 'folders' | 'createdAt' | 'updatedAt'> {
  return {
    outline: outline(kind),
    pattern,
    call: '',
    folders: ['Media', 'Release'],
    createdAt: at,
    updatedAt: at,
  }
}

/**
 * The recipe that everyone starts with: three steps (write, film or record, edit) over the six stages of
 * the trade.
 */
export function smallRecipe(id: string, kind: Show['kind'], at: Moment): Recipe {
  const audio = kind === 'audio'
  return {
    id,
    name: 'Three steps',
    stages: stages(kind, false),
    lines: [
      line('script', 'script', 'Write', 'write', 120, before(7), [], 'script'),
      line('film', 'film', audio ? 'Record' : 'Film', audio ? 'record' : 'film', 120, before(4), ['script']),
      line('rough', 'edit', 'Edit', 'edit', 180, before(1), ['film'], 'length'),
    ],
    ...common(kind, at),
  }
}

/** The fuller recipe, offered in Shows: every stage with its own steps and due dates. */
export function fullRecipe(id: string, kind: Show['kind'], at: Moment): Recipe {
  const audio = kind === 'audio'
  return {
    id,
    name: audio ? 'A talk, in full' : 'The whole workshop',
    stages: stages(kind, true),
    lines: [
      line('brief', 'brief', 'Settle the brief', 'write', 40, before(21), [], 'brief'),
      line('titles', 'brief', 'Choose the title', 'write', 20, before(20), ['brief'], 'title'),
      line(
        'script',
        'script',
        audio ? 'Write the questions' : 'Write the script',
        'write',
        audio ? 75 : 150,
        before(14),
        ['brief'],
        'script',
      ),
      line(
        'prepare',
        'film',
        audio ? 'Test the line and the room' : 'Lay out the bench',
        'prepare',
        30,
        before(12),
        ['script'],
      ),
      line(
        'film',
        'film',
        audio ? 'Record the talk' : 'Film the shots',
        audio ? 'record' : 'film',
        audio ? 90 : 120,
        before(11),
        ['script', 'prepare'],
        audio ? undefined : 'shots',
      ),
      line('rough', 'edit', 'First cut', 'edit', audio ? 90 : 180, before(6), ['film']),
      line(
        'sound',
        'edit',
        audio ? 'Sound and levels' : 'Sound and colour',
        'edit',
        60,
        before(4),
        ['rough'],
        'length',
      ),
      line(
        'pictures',
        'thumbnail',
        audio ? 'Make the cover' : 'Make the pictures',
        'design',
        45,
        before(3),
        ['film'],
        'picture',
      ),
      line(
        'choose',
        'thumbnail',
        audio ? 'Choose the cover' : 'Choose the thumbnail',
        'design',
        15,
        before(2),
        ['pictures'],
        'thumbnail',
      ),
      line('describe', 'release', 'Write the description', 'write', 25, before(1), ['script'], 'description'),
      line('check', 'release', 'Watch it once, whole', 'admin', 30, before(1), ['sound', 'choose']),
      line('letters', 'after', 'Answer the first letters', 'admin', 30, { kind: 'after', days: 2 }, []),
    ],
    ...common(kind, at),
  }
}
