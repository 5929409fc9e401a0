import { Mark, Node, mergeAttributes } from '@tiptap/core'

/** What a script document is made of: titles of sections with beats below them, and cues anchored to words. */
export const ScriptDocument = Node.create({
  name: 'doc',
  topNode: true,
  // What is split off is a beat: the first kind that may stand there.
  content: 'title (beat | title)*',
})

/** Given by the program alone: what a page from elsewhere has under that name is not read. */
const given = <T>(first: T) => ({ default: first, rendered: false, parseHTML: () => null })

/** Goes along when it is cut and put in elsewhere. */
const carried = (name: string) => ({
  default: undefined,
  parseHTML: (element: HTMLElement): unknown => {
    try {
      return JSON.parse(element.getAttribute(`data-${name}`) ?? 'null')
    } catch {
      return null
    }
  },
  renderHTML: (of: Record<string, unknown>) =>
    of[name] === undefined || of[name] === null ? {} : { [`data-${name}`]: JSON.stringify(of[name]) },
})

/** A section's title; what it is called and how it is spoken are its attributes. */
export const Title = Node.create({
  name: 'title',
  content: 'text*',
  marks: '',
  defining: true,
  addAttributes: () => ({
    id: given(''),
    spoken: carried('spoken'),
    lasts: carried('lasts'),
    serves: carried('serves'),
    takes: carried('takes'),
  }),
  parseHTML: () => [1, 2, 3, 4, 5, 6].map((n) => ({ tag: `h${n}` })),
  renderHTML: ({ HTMLAttributes }) => ['h2', mergeAttributes(HTMLAttributes), 0],
})

/** One passage. `loose`: cues that belong to it as a whole. */
export const BeatNode = Node.create({
  name: 'beat',
  content: '(text | hardBreak)*',
  addAttributes: () => ({
    id: given(''),
    delivery: {
      default: 'camera',
      parseHTML: (element) => {
        const isVoice = element.dataset['delivery'] === 'voice' || element.closest('blockquote') !== null
        return isVoice ? 'voice' : 'camera'
      },
      renderHTML: ({ delivery }: { delivery?: string }) => ({ 'data-delivery': delivery }),
    },
    hold: given(0),
    loose: given([]),
    // What is put in elsewhere is said there too.
    promised: carried('promised'),
  }),
  parseHTML: () => [{ tag: 'p' }, { tag: 'pre' }],
  renderHTML: ({ HTMLAttributes }) => ['p', mergeAttributes(HTMLAttributes), 0],
})

const named = (name: string) => ({
  default: '',
  parseHTML: (element: HTMLElement) => element.getAttribute(`data-${name}`) ?? '',
  renderHTML: (of: Record<string, unknown>) => (of[name] === '' ? {} : { [`data-${name}`]: of[name] }),
})

/** Words that a cue belongs to; all that the cue says goes with them when they are moved or copied. */
export const CueMark = Mark.create({
  name: 'cue',
  inclusive: false,
  excludes: '',
  addAttributes: () => ({
    id: named('id'),
    kind: { ...named('kind'), default: 'shot' },
    text: named('text'),
    source: named('source'),
    licence: named('licence'),
    place: named('place'),
    // How it is filmed, and its takes, go along when its words are cut and put in elsewhere.
    rest: {
      default: '',
      parseHTML: (element) => element.dataset['rest'] ?? '',
      renderHTML: ({ rest }: { rest?: string }) => (rest ? { 'data-rest': rest } : {}),
    },
    got: {
      default: false,
      parseHTML: (element) => element.dataset['got'] === 'true',
      renderHTML: ({ got }: { got?: boolean }) => (got ? { 'data-got': 'true' } : {}),
    },
  }),
  parseHTML: () => [{ tag: 'span.cue' }],
  renderHTML: ({ HTMLAttributes }) => ['span', mergeAttributes({ class: 'cue' }, HTMLAttributes), 0],
})
