import { spinOffsToAdd, spinStage, spinStep } from '../../release/spin-offs'
import { scriptFrom, stepId, stepsToAdd } from '../../recipe/apply'
import type { Episode, Id, Script, Step } from '../../records'
import { ok, refused } from '../../result'
import { codeFor } from '../../rhythm/numbering'
import { type Command, momentOf, putRecord } from '../change'
import { recipeFor, stepsOf } from '../of-episode'

/**
 * Copies an episode as a pattern for a new one in work, without a slot: its steps come undone, undated and
 * unlogged; its brief, script and tags only if wanted, else the script's sections alone. Pictures, figures,
 * the cut and the number stay where they are.
 *
 * Refused:
 * - “This episode is no longer there.”
 */
export const copyEpisode: Command<{ episode: Id; texts: boolean }> = (
  records,
  { episode: id, texts },
  context,
) => {
  const source = records.episodes.get(id)
  if (!source) return refused('This episode is no longer there.', 'episodes')
  const at = momentOf(context)
  const made = context.id()
  const { title, show, topics, guests, nature, brief, titles, tags, links, recipe, early, idea } = source
  const episode: Episode = {
    id: made,
    show,
    code: codeFor(made, new Set([...records.episodes.values()].map((e) => e.code))),
    title: `${title}, again`.slice(0, 300),
    note: '',
    idea: {
      ...idea,
      sources: [],
      asked: [],
      images: [],
      files: [],
      restUntil: undefined,
      rank: undefined,
      occasion: undefined,
    },
    phase: { kind: 'work', since: at },
    place: { kind: 'nothing' },
    nature: nature.kind === 'topical' ? { kind: 'topical' } : nature,
    spare: false,
    priority: 0,
    brief: texts
      ? brief
      : { takeaway: '', points: ['', '', ''], description: '', pictureIdea: '', pictureWords: '' },
    titles: texts ? titles.map((t) => ({ ...t, id: context.id() })) : [],
    tags: texts ? tags : [],
    links: texts ? links.map((l) => ({ ...l, id: context.id() })) : [],
    topics,
    guests: texts ? guests : [],
    pictures: [],
    cut: { starts: {} },
    figures: [],
    ...(recipe === undefined ? {} : { recipe }),
    ...(early === undefined ? {} : { early }),
    createdAt: at,
    updatedAt: at,
  }
  // What was made of the other one is not made of this; what the recipe has made of every one is.
  const mine = stepsOf(records, id).filter((s) => s.spin === undefined)
  const ids = new Map(
    mine.map((s) => [s.id, s.line === undefined ? `${made}/${context.id()}` : stepId(made, s.line)]),
  )
  const to = (step: Id) => ids.get(step) ?? step
  const steps = mine.map((s): Step => ({
    id: to(s.id),
    episode: made,
    ...(s.line === undefined ? {} : { line: s.line }),
    stage: s.stage,
    name: s.name,
    kind: s.kind,
    minutes: s.minutes,
    logged: 0,
    lead: s.lead.kind === 'ahead' ? { ...s.lead, step: to(s.lead.step) } : s.lead,
    needs: s.needs.map(to),
    owner: s.owner,
    required: s.required,
    ...(s.part === undefined ? {} : { part: s.part }),
    blocks: [],
    order: s.order,
    createdAt: at,
    updatedAt: at,
  }))
  const own = recipeFor(records, episode)
  const old = records.scripts.get(id)
  const script: Script | undefined = old
    ? {
        id: made,
        sections: old.sections.map((s) => {
          const section = context.id()
          return {
            ...s,
            id: section,
            beats: texts
              ? s.beats.map((b) => ({
                  ...b,
                  id: context.id(),
                  cues: b.cues.map((c) => ({ ...c, id: context.id(), got: false })),
                }))
              : [{ id: context.id(), delivery: 'camera' as const, text: '', hold: 0, cues: [] }],
          }
        }),
        createdAt: at,
        updatedAt: at,
      }
    : own && scriptFrom(own, { id: made }, at)
  const base = mine.length > 0 || !own ? steps : stepsToAdd(own, made, [], at)
  const spun = own ? spinOffsToAdd(own, episode, at) : []
  const fresh = [
    ...base,
    ...spun.map(({ spin, line }, i) =>
      spinStep(made, spin, {
        ...{ stage: own ? spinStage(own) : '', minutes: line.minutes, at },
        order: base.length + i,
      }),
    ),
  ]
  return ok({
    changes: [
      putRecord(records, 'episodes', {
        ...episode,
        ...(spun.length > 0 ? { spinOffs: spun.map(({ spin }) => spin) } : {}),
      }),
      ...fresh.map((s) => putRecord(records, 'steps', s)),
      ...(script ? [putRecord(records, 'scripts', script)] : []),
    ],
    sentence: `Copied “${title}” as a pattern${texts ? ', with its texts' : ''}`,
    about: [made],
  })
}
