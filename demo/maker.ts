import { demoPromises } from './promises'
import { seenAt } from './outlets'
import { demoShows, formOfTitle, zone } from './shows'
import type { WholeStore } from '@core/formats/backup'
import {
  rowsFrom,
  type Campaign,
  type Day,
  type Episode,
  type Launch,
  type Outlet,
  type Place,
  type Recipe,
  type Reservation,
  type Script,
  type Show,
  type StandingWork,
  type Step,
} from '@core/records'
import { freshSettings } from '@core/commands/settings/fresh-settings'
import { addDays, dayNumber, weekday } from '@core/rhythm/days'
import { blankEpisode } from '@core/records/blank-episode'
import { demoCuts } from './cuts'
import { materialsOf } from './materials'
import { askedReads, demoOffers, saying } from './offers'
import { drawnShots, linked, lookedBackOn, picturesOf, runnersUp } from './made'
import { demoDeals, demoJobs, demoPeople, withGuests, withReads } from './partners'
import { withSpinOffs } from './spin-offs'
import { covered, sponsored } from './titles-with'
import { codeFor } from '@core/rhythm/numbering'
import { dayAt, momentAt } from '@core/rhythm/zone'
import { scriptFigures } from '@core/script/timing'
import { seedOf } from '@core/plan/chance'
import { chanceFrom, type Chance } from './chance'
import { fillerScript } from './filler'
import { demoKeywords, knownOf, sketches } from './ideas'
import { scriptFor } from './scripts'
import { demoSteps } from './steps'
import { type Subject } from './titles'

import { whole, type PictureOrder, type Progress } from './progress'
import { briefOf, otherTitle, tagsOf } from './recipes'

/** Makes records of the demo world, each the same for the same moment and chance. */
export class Maker {
  readonly pictures: PictureOrder[] = []
  readonly boats: Show
  readonly talks: Show
  private readonly at: string
  private readonly today: Day
  private readonly recipes: Recipe[]
  private readonly outlets: Outlet[]
  private readonly episodes: Episode[] = []
  private readonly steps: Step[] = []
  private readonly scripts: Script[] = []
  private readonly standing: StandingWork[] = []
  private readonly reservations: Reservation[] = []
  private readonly launches: Launch[] = []
  private readonly campaigns: Campaign[] = []
  last!: { episode: Episode }

  constructor(
    private readonly now: number,
    private readonly seed: number,
    private readonly codes = new Set<string>(),
  ) {
    this.today = dayAt(now, zone)
    this.at = new Date(now - 400 * 86_400_000).toISOString()
    const made = demoShows(this.at, this.next(3, '17:00'))
    this.recipes = made.recipes
    this.outlets = made.outlets
    this.boats = made.boats
    this.talks = made.talks
  }

  /** The next date of a weekday (Monday 0) whose moment at a time is still to come. */
  next(on: number, time: string): Day {
    let day = this.today
    while (weekday(day) !== on || momentAt(day, time, zone) <= this.now) day = addDays(day, 1)
    return day
  }

  /** What is kept, launched and done every week; `thursday` is the next release of the boats. */
  promises(thursday: Day): void {
    const made = demoPromises(this.at, this.today, thursday, this.episodes)
    this.launches.push(...made.launches)
    this.reservations.push(...made.reservations)
    this.standing.push(...made.standing)
    this.campaigns.push(...made.campaigns)
  }

  world(): WholeStore {
    runnersUp(this.episodes, this.pictures, this.today, zone)
    drawnShots(this.episodes, this.scripts, this.pictures)
    linked(this.episodes, [this.boats, this.talks])
    withReads(this.episodes, this.scripts, this.boats)
    this.steps.push(...withSpinOffs(this.episodes, (day) => this.moment(day), this.today))
    withGuests(this.episodes, this.steps, this.today)
    const thursday = this.next(3, '17:00')
    lookedBackOn(this.episodes)
    const settings = { ...freshSettings(this.at), hours: [180, 180, 360, 180, 180, 0, 120], currency: '€' }
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
        campaigns: this.campaigns,
        offers: demoOffers(this.at),
        people: demoPeople(this.at),
        deals: demoDeals(this.at, thursday, this.episodes),
        jobs: demoJobs(thursday, (day) => this.moment(day)),
        cuts: demoCuts(this.today, (day) => this.moment(day), this.episodes),
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
    const chance = this.chanceOf(`${id} figures`)
    const usual = (video ? 4200 : 900) + index * (video ? 130 : 40)
    const views = Math.round(usual * chance.about(0.38))
    const age = dayNumber(this.today) - dayNumber(day)
    const at = this.moment(day, show.rhythm.time)
    // For some months of the year the work ran ahead of its releases.
    const ahead = Math.max(0, Math.round(17 * Math.sin((age - 20) / 60)))
    this.add(show, subject, id, { ...whole, pictures: painted ? 1 : 0 }, addDays(day, -ahead), words, true)
    if (video && words === undefined)
      this.scripts.push(...this.scripts.splice(-1).map((s) => saying(s, number)))
    const { episode } = this.last
    episode.phase = { kind: 'released', at, planned: at }
    const [outlet = ''] = show.outlets
    const site = show.kind === 'video' ? 'https://video.example/watch' : 'https://feed.example/episode'
    episode.addresses = { [outlet]: `${site}/${episode.code.toLowerCase()}` }
    episode.place = { kind: 'slot', day }
    episode.handed = seenAt(show, at)
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
    episode.phase = { kind: 'work', since: this.moment(since) }
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

  /** Chance of an episode's own: what is added to the world changes nothing of the others. */
  private chanceOf(id: string): Chance {
    return chanceFrom(seedOf(`${this.seed} ${id}`))
  }

  private blank(show: Show, id: string, title: string): Episode {
    const code = codeFor(id, this.codes)
    this.codes.add(code)
    return {
      ...blankEpisode({ id, show: show.id, code, title, at: this.at }),
      form: formOfTitle(show.kind, title),
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
    const chance = this.chanceOf(id)
    const audio = show.kind === 'audio'
    const recipe = this.recipe(show)
    const episode = this.blank(show, id, subject.title)
    const at = this.moment(addDays(ended, -10))
    const script =
      words === undefined
        ? scriptFor(id, subject, recipe, show.kind, progress.written, progress.got, at)
        : fillerScript(id, subject, recipe, show.kind, chance, words, at)
    episode.topics = [subject.topic]
    episode.brief = briefOf(subject, progress)
    episode.titles = [
      { id: `${id}/t1`, text: subject.title },
      { id: `${id}/t2`, text: otherTitle(subject) },
    ]
    if (progress.title === 'chosen') episode.chosenTitle = `${id}/t1`
    episode.tags = tagsOf(subject, show, progress.tags)
    if (progress.description)
      episode.links = [{ id: `${id}/l1`, label: 'Drawings', url: 'https://tern-and-tiller.example/drawings' }]
    if (subject.title.includes('Varga')) episode.guests = ['Ines Varga']
    const sponsor = sponsored[subject.title]
    const asked = askedReads[sponsor ?? '']
    if (sponsor !== undefined) episode.sponsor = sponsor
    if (asked) episode.read = asked
    const materials = past ? undefined : materialsOf(subject.title, id, this.today)
    if (materials) episode.materials = materials
    if (progress.length) {
      const figures = scriptFigures(script, show.pace)
      const stretch = 0.94 + chance.next() * 0.12
      episode.cut = {
        length: Math.round(figures.seconds * stretch),
        starts: Object.fromEntries(figures.sections.map((s) => [s.id, Math.round(s.start * stretch)])),
      }
    }
    for (const { order, picture } of picturesOf(id, subject, progress.pictures, { audio, half: past })) {
      this.pictures.push(order)
      episode.pictures.push(picture)
    }
    if (progress.chosen !== undefined) episode.chosenPicture = `${id}/p${progress.chosen}`
    const steps = demoSteps({
      ...{ recipe, id, progress, past, ended, today: this.today, chance },
      moment: (day) => this.moment(day),
    })
    this.episodes.push(episode)
    this.scripts.push(script)
    this.steps.push(...steps)
    this.last = { episode }
  }
}
