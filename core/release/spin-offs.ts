import type {
  Episode,
  Excerpt,
  Id,
  Lead,
  Moment,
  Recipe,
  SpinKind,
  SpinLine,
  SpinOff,
  Step,
  StepKind,
  When,
} from '../records'
import { sayKind, spinKey } from './when'

/** What making each kind is: the step's name, the kind of work, and minutes before anything was learnt. */
export const spinWork: Readonly<
  Record<SpinKind, { name: string; kind: StepKind; minutes: number; isWritten: boolean }>
> = {
  excerpt: { name: 'Cut the excerpt', kind: 'edit', minutes: 30, isWritten: false },
  short: { name: 'Cut the short', kind: 'edit', minutes: 45, isWritten: false },
  post: { name: 'Write the post', kind: 'write', minutes: 15, isWritten: true },
  letter: { name: 'Write the letter', kind: 'write', minutes: 40, isWritten: true },
  article: { name: 'Write the article', kind: 'write', minutes: 90, isWritten: true },
}

/** The code of the next thing made of an episode: its own with a letter, from Z on with a number. */
export function spinCode({ code, spinOffs = [] }: Pick<Episode, 'code' | 'spinOffs'>): string {
  const taken = new Set(spinOffs.map((s) => s.code))
  for (let n = 0; ; n++) {
    const next = `${code}-${n < letters ? String.fromCharCode(firstLetter + n) : n + 1}`
    if (!taken.has(next)) return next
  }
}
const letters = 26
const firstLetter = 65

/** When the work on something is due that goes out so: on its day, or the day before where it goes out with the release or before it. */
export function spinLead(when: When): Lead {
  if (when.kind === 'days' && when.days > 0) return { kind: 'after', days: when.days }
  if (when.kind === 'rhythm') return { kind: 'after', days: 1 }
  return { kind: 'before', days: when.kind === 'days' ? 1 - when.days : 1 }
}

/** The step by which something is made of an episode. `stage` is where it stands. */
export function spinStep(
  episode: Id,
  spin: SpinOff,
  of: { stage: Id; minutes: number; order: number; at: Moment },
): Step {
  const { name, kind } = spinWork[spin.kind]
  return {
    id: `${episode}/spin/${spin.id}`,
    episode,
    spin: spin.id,
    stage: of.stage,
    name: `${name}${spin.code.includes('-') ? ` ${spin.code.slice(spin.code.lastIndexOf('-') + 1)}` : ''}`,
    kind,
    minutes: of.minutes,
    logged: 0,
    lead: spinLead(spin.when),
    needs: [],
    owner: 'me',
    required: false,
    blocks: [],
    order: of.order,
    createdAt: of.at,
    updatedAt: of.at,
  }
}

/** Where steps of spin-offs stand: what follows the release, else the release. */
export function spinStage(recipe: Pick<Recipe, 'stages'>): Id {
  const found =
    recipe.stages.find((s) => s.kind === 'after') ?? recipe.stages.find((s) => s.kind === 'release')
  return found?.id ?? recipe.stages.at(-1)?.id ?? 'release'
}

/** What a recipe has made of an episode and is not there yet: its spin-offs, by line, each once however often it is asked. */
export function spinOffsToAdd(
  recipe: Pick<Recipe, 'spinOffs'>,
  episode: Episode,
  at: Moment,
): { spin: SpinOff; line: SpinLine }[] {
  const have = new Set((episode.spinOffs ?? []).map((s) => s.line))
  let all = episode.spinOffs ?? []
  return (recipe.spinOffs ?? [])
    .filter((l) => !have.has(l.id))
    .map((line) => {
      const spin: SpinOff = {
        id: `${episode.id}-${line.id}`,
        code: spinCode({ code: episode.code, spinOffs: all }),
        ...{ kind: line.kind, title: '', text: '', when: line.when, line: line.id, made: at },
        ...(line.outlet === undefined ? {} : { outlet: line.outlet }),
      }
      all = [...all, spin]
      return { spin, line }
    })
}

/** Whether a spin-off has what it is made of: words; of an excerpt or short the passage or words that say what it shows. */
export function hasWords(spin: Pick<SpinOff, 'kind' | 'text' | 'excerpt'>): boolean {
  return spin.text.trim() !== '' || (!spinWork[spin.kind].isWritten && spin.excerpt !== undefined)
}

/** Whether a step's spin-off asks for no more work by it: its words are there, it is out, or it is not made. */
export function isSpinDone(episode: Pick<Episode, 'spinOffs' | 'handed'>, step: Pick<Step, 'spin'>): boolean {
  const spin = (episode.spinOffs ?? []).find((s) => s.id === step.spin)
  if (!spin || spin.off === true || isSpinOut(episode, spin)) return true
  return spinWork[spin.kind].isWritten && hasWords(spin)
}

/** Whether a spin-off was seen live. */
export function isSpinOut(episode: Pick<Episode, 'handed'>, spin: SpinOff): boolean {
  const key = spinKey(spin)
  return spin.address !== undefined || (key !== undefined && episode.handed?.[key]?.live !== undefined)
}

/** What a spin-off is called in a list: its title, else its first words, else its kind. */
export function spinName({ title, text, kind }: SpinOff): string {
  const first = text.trim().split('\n')[0] ?? ''
  const short = first.length > 60 ? `${first.slice(0, 60).trimEnd()}…` : first
  return title.trim() || short || sayKind(kind)
}

/** What was made of an episode: its spin-offs, and the passages that were taken and are none yet. */
export function madeFrom({ spinOffs = [], excerpts = [] }: Pick<Episode, 'spinOffs' | 'excerpts'>): {
  spinOffs: SpinOff[]
  passages: Excerpt[]
} {
  const made = spinOffs.filter((s) => s.off !== true)
  const used = new Set(made.map((s) => s.excerpt))
  return { spinOffs: made, passages: excerpts.filter((e) => !used.has(e.id)) }
}
