import type { Whole } from '@core/formats/backup'
import {
  bareIdea,
  rowsFrom,
  type Brief,
  type Day,
  type Episode,
  type Launch,
  type Place,
  type Recipe,
  type Reservation,
  type Script,
  type Show,
  type Standing,
  type Step,
} from '@core/records'
import { freshSettings } from '@core/commands/settings/fresh-settings'
import { firstOutlet } from '@core/commands/shows/first-outlet'
import { stepsToAdd } from '@core/recipe/apply'
import { fullRecipe } from '@core/recipe/starters'
import { addDays, dayNumber, weekday } from '@core/rhythm/days'
import { codeFor } from '@core/rhythm/numbering'
import { dayAt, momentAt } from '@core/rhythm/zone'
import { scriptFigures } from '@core/script/timing'
import { chanceFrom, type Chance } from './chance'
import { demoKeywords, knownOf, sketches } from './ideas'
import { scriptFor, type Written } from './scripts'
import {
  ideaBoats,
  ideaTalks,
  readIdeas,
  releasedBoats,
  releasedTalks,
  spareBoats,
  workBoats,
  workTalks,
  type Subject,
} from './titles'

const zone = 'Europe/Lisbon'

/** A picture that is wanted: painted beside the records, under the same id. */
export interface PictureOrder {
  id: string
  subject: Subject
  audio: boolean
  variant: number
  /** Released ones are painted at half the size. */
  half: boolean
}

/** How far an episode in work has come: the recipe lines done, and what is written. */
interface Progress {
  done: string[]
  logged?: Record<string, number>
  written: Written
  got: 'all' | 'none' | number
  pictures: number
  chosen?: number
  brief: 'whole' | 'part' | 'none'
  title: 'chosen' | 'candidates'
  description: boolean
  tags: 'fit' | 'over' | 'none'
  length: boolean
  waiting?: { line: string; who: string; what: string; days: number }
}

/** Keywords that released episodes are on. */
const covered: Readonly<Record<string, string>> = {
  'My first steamed plank broke': 'k0',
  'How to peen a rivet quietly': 'k1',
  'Spiling with a biscuit tin': 'k19',
  'Oiling or varnish on a working boat': 'k4',
  'I bought the worst boat on the quay': 'k5',
}

const everything = [
  'brief',
  'titles',
  'script',
  'prepare',
  'film',
  'rough',
  'sound',
  'pictures',
  'choose',
  'describe',
  'check',
]
const whole: Progress = {
  done: everything,
  written: { sections: 'all' },
  got: 'all',
  pictures: 1,
  chosen: 0,
  brief: 'whole',
  title: 'chosen',
  description: true,
  tags: 'fit',
  length: true,
}

/**
 * Lays the demo world out relative to a moment (ms): its records, and the pictures to paint. The same
 * moment gives the same world.
 */
export function demoWorld(now: number): { whole: Whole; pictures: PictureOrder[] } {
  const maker = new Maker(now, chanceFrom(42))
  const { boats, talks } = maker
  const thursday = maker.next(3, '17:00')
  const tuesday = addDays(thursday, 5)
  releasedBoats.forEach((s, i) => {
    maker.released(boats, s, i + 1, addDays(thursday, -7 * (41 - i)), i)
  })
  releasedTalks.forEach((s, i) => {
    maker.released(talks, s, i + 1, addDays(tuesday, -14 * (18 - i)), i)
  })
  const [ribs, bolts, spar, caulk, tent, loft] = workBoats
  const [pilot, tides, ledger, nets] = workTalks
  if (!ribs || !bolts || !spar || !caulk || !tent || !loft || !pilot || !tides || !ledger || !nets)
    throw new Error('The demo lacks an episode')
  const slot = (day: Day): Place => ({ on: 'slot', day })
  maker.inWork(
    boats,
    ribs,
    slot(thursday),
    {
      ...whole,
      done: [...everything.slice(0, 8)],
      pictures: 3,
      description: false,
      tags: 'over',
      logged: { choose: 5 },
    },
    3 * 7,
  )
  delete maker.last.episode.chosenPicture
  maker.inWork(
    talks,
    pilot,
    slot(tuesday),
    {
      ...whole,
      done: everything.slice(0, 5),
      logged: { rough: 70 },
      length: false,
      pictures: 0,
      description: false,
      tags: 'none',
      waiting: { line: 'pictures', who: 'Ines Varga', what: 'a portrait for the cover', days: 5 },
    },
    25,
  )
  maker.inWork(
    boats,
    bolts,
    slot(addDays(thursday, 7)),
    {
      ...whole,
      done: everything.slice(0, 4),
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    20,
  )
  maker.inWork(
    boats,
    spar,
    slot(addDays(thursday, 14)),
    {
      ...whole,
      done: everything.slice(0, 2),
      written: { sections: 'but', last: 2 },
      got: 2,
      logged: { script: 115 },
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    14,
  )
  maker.inWork(
    boats,
    caulk,
    slot(addDays(thursday, 21)),
    {
      ...whole,
      done: [],
      written: { sections: 'none' },
      logged: { brief: 20 },
      brief: 'part',
      title: 'candidates',
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    6,
  )
  maker.inWork(
    talks,
    tides,
    slot(addDays(tuesday, 28)),
    {
      ...whole,
      done: everything.slice(0, 2),
      written: { sections: 'none' },
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    8,
  )
  maker.inWork(
    boats,
    tent,
    slot(addDays(thursday, 49)),
    {
      ...whole,
      done: [],
      written: { sections: 'none' },
      brief: 'none',
      title: 'candidates',
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    3,
  )
  maker.inWork(
    talks,
    ledger,
    slot(addDays(tuesday, 56)),
    {
      ...whole,
      done: [],
      written: { sections: 'none' },
      brief: 'part',
      title: 'candidates',
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    4,
  )
  maker.inWork(
    boats,
    loft,
    { on: 'nothing' },
    {
      ...whole,
      done: everything.slice(0, 2),
      written: { sections: 'but', last: 3 },
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    40,
  )
  maker.inWork(
    talks,
    nets,
    { on: 'nothing' },
    {
      ...whole,
      done: [],
      written: { sections: 'none' },
      brief: 'part',
      title: 'candidates',
      got: 'none',
      pictures: 0,
      length: false,
      description: false,
      tags: 'none',
    },
    30,
  )
  for (const s of spareBoats) {
    maker.inWork(boats, s, { on: 'nothing' }, { ...whole, pictures: 1 }, 60)
    maker.last.episode.spare = true
  }
  maker.promises(thursday)
  readIdeas(ideaBoats).forEach((idea, i) => {
    maker.idea(boats, idea, i)
  })
  readIdeas(ideaTalks).forEach((idea, i) => {
    maker.idea(talks, idea, i)
  })
  return { whole: maker.world(), pictures: maker.pictures }
}

/**
 * A world for trying out scale: `count` released episodes of daily shows with scripts of about 1,200 words,
 * twice as many ideas, and the usual demo's work.
 */
export function largeWorld(
  now: number,
  progress: (share: number) => void,
  count = 5000,
): { whole: Whole; pictures: PictureOrder[] } {
  const { whole: usual, pictures } = demoWorld(now)
  const maker = new Maker(now, chanceFrom(7), new Set(usual.tables.episodes.map((e) => e.code)))
  const subjects = [...releasedBoats, ...releasedTalks]
  const today = dayAt(now, zone)
  const days = Math.ceil(count / 2)
  const fixed = usual.tables.episodes.filter((e) => e.phase.name !== 'released')
  for (let i = 0; i < days; i++) {
    const day = addDays(today, i - days)
    const topic = subjects[i % subjects.length]
    if (!topic) continue
    const again = Math.floor(i / subjects.length) + 1
    maker.released(
      maker.boats,
      { ...topic, title: `${topic.title}, part ${again}` },
      i + 1,
      day,
      i,
      false,
      1200,
    )
    maker.released(
      maker.talks,
      { ...topic, title: `${topic.title}, heard again ${again}` },
      i + 1,
      day,
      i,
      false,
      1200,
    )
    if (i % 25 === 0) progress(i / days)
  }
  for (const [show, lines, many] of [
    [maker.boats, readIdeas(ideaBoats), count * 1.2],
    [maker.talks, readIdeas(ideaTalks), count * 0.8],
  ] as const)
    for (let i = 0; i < many; i++) {
      const line = lines[i % lines.length]
      if (line)
        maker.idea(
          show,
          { ...line, title: `${line.title}, take ${Math.floor(i / lines.length) + 1}` },
          i % 300,
          `n${i}`,
        )
    }
  const large = maker.world()
  const kept = new Set(fixed.map((e) => e.id))
  const daily = (show: Show): Show => ({
    ...show,
    rhythm: { ...show.rhythm, rule: 'FREQ=DAILY;INTERVAL=1' },
    nextNumber: days + 1,
  })
  const whole: Whole = {
    ...usual,
    tables: {
      ...usual.tables,
      shows: usual.tables.shows.map(daily),
      episodes: [...fixed, ...large.tables.episodes],
      steps: [...usual.tables.steps.filter((s) => kept.has(s.episode)), ...large.tables.steps],
      scripts: [...usual.tables.scripts.filter((s) => kept.has(s.id)), ...large.tables.scripts],
    },
  }
  const wanted = new Set(fixed.flatMap((e) => [...e.pictures, ...e.idea.images].map((p) => p.id)))
  return { whole, pictures: pictures.filter((p) => wanted.has(p.id)) }
}

class Maker {
  readonly pictures: PictureOrder[] = []
  readonly boats: Show
  readonly talks: Show
  private readonly at: string
  private readonly today: Day
  private readonly recipes: Recipe[]
  private readonly outlets
  private readonly episodes: Episode[] = []
  private readonly steps: Step[] = []
  private readonly scripts: Script[] = []
  private readonly standing: Standing[] = []
  private readonly reservations: Reservation[] = []
  private readonly launches: Launch[] = []
  last!: { episode: Episode }

  constructor(
    private readonly now: number,
    private readonly chance: Chance,
    private readonly codes = new Set<string>(),
  ) {
    this.today = dayAt(now, zone)
    this.at = new Date(now - 400 * 86_400_000).toISOString()
    const full = (id: string, kind: Show['kind']): Recipe => ({
      ...fullRecipe(id, kind, this.at),
      call:
        kind === 'video'
          ? 'New boat work every Thursday at five.\nDrawings and letters: the box at the slip.'
          : 'A new talk every second Tuesday, before the first ferry.',
    })
    this.recipes = [
      workshop(full('recipe-boats', 'video')),
      full('recipe-talks', 'audio'),
      shorter(full('recipe-short', 'video')),
    ]
    this.outlets = [
      firstOutlet('outlet-video', 'video', this.at),
      firstOutlet('outlet-feed', 'audio', this.at),
    ]
    const thursday = this.next(3, '17:00')
    const show = (
      id: string,
      kind: Show['kind'],
      fields: Pick<Show, 'title' | 'prefix' | 'nextNumber' | 'rhythm' | 'aim' | 'topics' | 'readyAhead'>,
    ): Show => ({
      id,
      kind,
      zone,
      skipped: [],
      moved: {},
      recipe: kind === 'video' ? 'recipe-boats' : 'recipe-talks',
      ...(kind === 'video' ? { recipes: ['recipe-short'] } : {}),
      outlets: [kind === 'video' ? 'outlet-video' : 'outlet-feed'],
      pace: { camera: 150, voice: 160 },
      fields: [],
      notes: '',
      createdAt: id === 'boats' ? this.at : new Date(Date.parse(this.at) + 1000).toISOString(),
      updatedAt: this.at,
      ...fields,
    })
    this.boats = show('boats', 'video', {
      title: 'Tern & Tiller',
      prefix: '#',
      nextNumber: 1,
      rhythm: { rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=TH', start: addDays(thursday, -7 * 41), time: '17:00' },
      aim: { from: 8, to: 11 },
      readyAhead: 4,
      topics: [
        'Hulls',
        'Planking',
        'Spars and sails',
        'Fastenings',
        'Finish',
        'Workshop',
        'Oars',
        'Afloat',
      ].map((name) => ({ name, share: 0.125 })),
    })
    this.talks = show('talks', 'audio', {
      title: 'Harbour Hours',
      prefix: 'HH ',
      nextNumber: 1,
      rhythm: {
        rule: 'FREQ=WEEKLY;INTERVAL=2;BYDAY=TU',
        start: addDays(thursday, 5 - 14 * 18),
        time: '06:30',
      },
      aim: { from: 5, to: 8 },
      readyAhead: 2,
      topics: ['Ferries', 'Lights', 'Fishing', 'Yards', 'Tides', 'Harbour life'].map((name) => ({
        name,
        share: 1 / 6,
      })),
    })
  }

  /** The next date of a weekday (Monday 0) whose moment at a time is still to come. */
  next(on: number, time: string): Day {
    let n = dayNumber(this.today)
    while (
      weekday(n) !== on ||
      momentAt(addDays(this.today, n - dayNumber(this.today)), time, zone) <= this.now
    )
      n++
    return addDays(this.today, n - dayNumber(this.today))
  }

  /**
   * What is kept, launched and done every week beside the episodes. `thursday` is the next release of the
   * boats.
   */
  promises(thursday: Day): void {
    const stamp = { createdAt: this.at, updatedAt: this.at }
    const work = this.episodes.filter(
      (e) => e.phase.name === 'work' && e.show === 'boats' && e.place.on === 'slot',
    )
    this.launches.push({
      id: 'launch-drawings',
      name: 'Drawings of the dinghy',
      from: addDays(thursday, 49),
      to: addDays(thursday, 63),
      runUp: 14,
      wanted: 3,
      episodes: work.slice(4, 5).map((e) => e.id),
      note: 'Sheets to print, with the offsets.',
      ...stamp,
    })
    this.reservations.push(
      {
        id: 'kept-kelpline',
        show: 'boats',
        name: 'Kelpline Rope',
        is: 'sponsor',
        kept: { by: 'slot', day: addDays(thursday, 28) },
        note: 'A read of 45 seconds, before the first third.',
        ...stamp,
      },
      {
        id: 'kept-launch',
        show: 'boats',
        name: 'Drawings of the dinghy',
        is: 'launch',
        launch: 'launch-drawings',
        kept: { by: 'slot', day: addDays(thursday, 42) },
        note: '',
        ...stamp,
      },
      {
        id: 'deal-brightwork',
        show: 'talks',
        name: 'Brightwork Varnish',
        is: 'sponsor',
        kept: { by: 'deal', perMonth: 1, from: addDays(this.today, -60) },
        note: 'One talk a month.',
        ...stamp,
      },
    )
    const monday = addDays(this.today, -weekday(this.today))
    this.standing.push(
      {
        id: 'standing-letters',
        name: 'Letters and comments',
        kind: 'admin',
        minutes: 30,
        when: { by: 'rule', rule: 'FREQ=WEEKLY;INTERVAL=1;BYDAY=MO,FR', start: addDays(monday, -70) },
        skipped: [],
        done: [],
        ...stamp,
      },
      {
        id: 'standing-accounts',
        name: 'The month’s accounts',
        kind: 'admin',
        minutes: 60,
        when: { by: 'rule', rule: 'FREQ=MONTHLY;INTERVAL=1;BYDAY=1WE', start: addDays(monday, -70) },
        at: '19:00',
        skipped: [],
        done: [],
        ...stamp,
      },
    )
  }

  world(): Whole {
    const settings = { ...freshSettings(this.at), hours: [180, 180, 360, 180, 180, 0, 120] }
    return {
      tables: {
        ...rowsFrom(() => []),
        shows: [this.boats, this.talks],
        outlets: this.outlets,
        recipes: this.recipes,
        episodes: this.episodes,
        steps: this.steps,
        scripts: this.scripts,
        keywords: demoKeywords(this.today, this.at),
        settings: [settings],
        standing: this.standing,
        busy: [],
        reservations: this.reservations,
        launches: this.launches,
      },
      journal: [],
      files: [],
    }
  }

  private recipe(show: Show): Recipe {
    const found = this.recipes.find((r) => r.id === show.recipe)
    if (!found) throw new Error('The demo lacks a recipe')
    return found
  }

  private moment(day: Day, time = '19:30'): string {
    return new Date(momentAt(day, time, zone)).toISOString()
  }

  released(
    show: Show,
    subject: Subject,
    number: number,
    day: Day,
    index: number,
    painted = true,
    words?: number,
  ): void {
    const id = `${show.id}-${number}`
    const video = show.kind === 'video'
    const { chance } = this
    const usual = (video ? 4200 : 900) + index * (video ? 130 : 40)
    const views = Math.round(usual * chance.about(0.38))
    const age = dayNumber(this.today) - dayNumber(day)
    const at = this.moment(day, show.rhythm.time)
    // For some months of the year the work ran ahead of its releases.
    const ahead = Math.max(0, Math.round(17 * Math.sin((age - 20) / 60)))
    this.add(show, subject, id, { ...whole, pictures: painted ? 1 : 0 }, addDays(day, -ahead), words, true)
    const { episode } = this.last
    episode.phase = { name: 'released', at }
    episode.place = { on: 'slot', day }
    episode.number = number
    const keyword = covered[subject.title]
    if (keyword) episode.idea.keywords = [keyword]
    episode.figures = [
      { age: 1, views: Math.round(views * 0.34) },
      { age: 7, views: Math.round(views * 0.71) },
      { age: 28, views },
    ].filter((f) => f.age <= age)
    episode.createdAt = this.moment(addDays(day, -40 - chance.between(0, 30)))
    episode.updatedAt = at
  }

  inWork(show: Show, subject: Subject, place: Place, progress: Progress, days: number): void {
    const id = `${show.id}-w${this.episodes.length}`
    const since = addDays(this.today, -days)
    this.add(show, subject, id, progress, addDays(this.today, -1))
    const { episode } = this.last
    episode.place = place
    episode.phase = { name: 'work', since: this.moment(since) }
    episode.createdAt = this.moment(addDays(since, -20))
  }

  idea(
    show: Show,
    { title, note }: { title: string; note: string },
    index: number,
    name = `i${index}`,
  ): void {
    const id = `${show.id}-${name}`
    const known = knownOf(
      show.kind === 'video' ? 'boats' : 'talks',
      index % (show.kind === 'video' ? 40 : 20),
      title,
      this.today,
      this.at,
    )
    const blank = this.blank(show, id, title)
    const motif = sketches[title]
    if (motif) {
      this.pictures.push({
        id: `${id}/sketch`,
        subject: { title, topic: '', thing: title, material: '', tool: '', words: '', motif },
        audio: false,
        variant: index % 3,
        half: true,
      })
      known.idea.images = [
        { id: `${id}/sketch`, name: 'sketch.jpg', type: 'image/jpeg', width: 640, height: 360, size: 1 },
      ]
    }
    this.episodes.push({
      ...blank,
      note,
      ...known,
      idea: { ...blank.idea, ...known.idea },
      createdAt: this.moment(
        addDays(this.today, -3 - index * 4),
        `${String(7 + (index % 13)).padStart(2, '0')}:${String((index * 7) % 60).padStart(2, '0')}`,
      ),
    })
  }

  private blank(show: Show, id: string, title: string): Episode {
    const code = codeFor(id, this.codes)
    this.codes.add(code)
    return {
      id,
      show: show.id,
      code,
      title,
      note: '',
      idea: bareIdea(),
      phase: { name: 'idea' },
      place: { on: 'nothing' },
      nature: { is: 'evergreen' },
      spare: false,
      priority: 0,
      brief: { takeaway: '', points: ['', '', ''], description: '', pictureIdea: '', pictureWords: '' },
      titles: [],
      tags: [],
      topics: [],
      links: [],
      guests: [],
      pictures: [],
      cut: { starts: {} },
      figures: [],
      createdAt: this.at,
      updatedAt: this.at,
    }
  }

  private add(
    show: Show,
    subject: Subject,
    id: string,
    progress: Progress,
    ended: Day,
    words?: number,
    past = false,
  ): void {
    const { chance } = this
    const audio = show.kind === 'audio'
    const recipe = this.recipe(show)
    const episode = this.blank(show, id, subject.title)
    const script = scriptFor(
      id,
      subject,
      recipe,
      show.kind,
      chance,
      words ?? (audio ? chance.between(700, 1000) : chance.between(1150, 1450)),
      progress.written,
      progress.got,
      this.moment(addDays(ended, -10)),
    )
    episode.topics = [subject.topic]
    episode.brief = briefOf(subject, progress)
    episode.titles = [
      { id: `${id}/t1`, text: subject.title },
      { id: `${id}/t2`, text: `What ${subject.thing} taught me about ${subject.material}` },
    ]
    if (progress.title === 'chosen') episode.chosenTitle = `${id}/t1`
    episode.tags = tagsOf(subject, show, progress.tags)
    if (progress.description)
      episode.links = [{ id: `${id}/l1`, label: 'Drawings', url: 'https://tern-and-tiller.example/drawings' }]
    if (subject.title.includes('Varga')) episode.guests = ['Ines Varga']
    if (chance.next() < 0.2) episode.sponsor = chance.pick(['Kelpline Rope', 'Brightwork Varnish'])
    if (progress.length) {
      const figures = scriptFigures(script, show.pace)
      const stretch = 0.94 + chance.next() * 0.12
      episode.cut = {
        length: Math.round(figures.seconds * stretch),
        starts: Object.fromEntries(figures.sections.map((s) => [s.id, Math.round(s.start * stretch)])),
      }
    }
    for (let i = 0; i < progress.pictures; i++) {
      const picture = `${id}/p${i}`
      this.pictures.push({ id: picture, subject, audio, variant: i, half: past })
      const part = past ? 0.5 : 1
      episode.pictures.push({
        id: picture,
        name: `${audio ? 'cover' : 'thumbnail'}-${'abc'[i] ?? 'd'}.jpg`,
        type: 'image/jpeg',
        width: (audio ? 1000 : 1280) * part,
        height: (audio ? 1000 : 720) * part,
        size: 1,
      })
    }
    if (progress.chosen !== undefined) episode.chosenPicture = `${id}/p${progress.chosen}`
    const steps = stepsToAdd(recipe, id, [], this.moment(addDays(ended, -30))).map((step): Step => {
      const line = step.line ?? ''
      const lead = step.lead.by === 'before' ? step.lead.days : 0
      const done = progress.done.includes(line)
      return {
        ...step,
        logged: done
          ? Math.max(5, Math.round((step.minutes * 1.15 * chance.about(0.3)) / 5) * 5)
          : (progress.logged?.[line] ?? 0),
        ...(done ? { doneAt: this.moment(addDays(ended, -Math.max(1, Math.min(lead, 20)))) } : {}),
        ...(progress.waiting?.line === line
          ? {
              waiting: {
                who: progress.waiting.who,
                what: progress.waiting.what,
                since: addDays(this.today, -progress.waiting.days),
              },
            }
          : {}),
      }
    })
    this.episodes.push(episode)
    this.scripts.push(script)
    this.steps.push(...steps)
    this.last = { episode }
  }
}

/** The boats' recipe with what the creator has added to it over the year. */
function workshop(recipe: Recipe): Recipe {
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
        when: { is: 'done', line: 'film' },
        then: { is: 'note', text: 'Copy the cards to the second disk' },
      },
      { id: 'follow-folder', when: { is: 'lit', stage: 'brief' }, then: { is: 'folder' } },
    ],
  }
}

/** A second recipe of the same show: short answers to letters, in five steps. */
function shorter(recipe: Recipe): Recipe {
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

function briefOf(s: Subject, progress: Progress): Brief {
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

function tagsOf(s: Subject, show: Show, how: Progress['tags']): string[] {
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

function upper(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
