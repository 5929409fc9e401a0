import type { Day, Deal, Episode, Job, Person, Script, Show, Step, Visit } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { scriptFigures } from '@core/script/timing'

const kelpline = 'Kelpline Rope'
const brightwork = 'Brightwork Varnish'

/** Reads of Kelpline Rope that went out, by number: how far into the script they stand. One came too late in its episode. */
const readAt: Readonly<Record<number, number>> = { 18: 0.18, 22: 0.2, 27: 0.42, 31: 0.16, 35: 0.21, 40: 0.2 }
const reads = [
  [
    'Kelpline Rope pays for this.',
    'I have had the same three-strand warp of theirs on the quay since the spring, and I have stopped looking at it, which is the best that I can say of a rope.',
    'It has been wet and it has been frozen, it has lain in the sun under everybody’s boots, and it coils the second time as it did the first.',
    'They spin it two valleys from here and they answer letters.',
    'If you need warps, halyards or a lead for a goat, order by the metre and put in the code TILLER10, then they know who sent you and take a tenth off the bill.',
  ].join(' '),
  [
    'A word from the people who make this possible. Kelpline Rope pays for this, and I asked for twine.',
    'Whipping twine, tarred, the thickness of a good pencil lead, on a wooden spool that I shall keep for something.',
    'I have whipped eleven ends with it, one of them in the rain, and I pulled at each with the van, gently, because it is not my van.',
    'Nothing moved. The spool is in every parcel of theirs that has a warp in it, for as long as there are spools.',
    'Write TILLER10 where they ask for a code. It takes a tenth off, and it tells them that somebody watches boats.',
  ].join(' '),
]

/** A script with a read of Kelpline Rope so far into it, as a share of its beats. */
function withRead(script: Script, number: number): Script {
  const share = readAt[number]
  const all = script.sections.flatMap((s) => s.beats)
  const behind = share === undefined ? undefined : all[Math.floor(all.length * share)]
  if (!behind) return script
  const read = {
    id: `${script.id}/read`,
    delivery: 'camera' as const,
    text: reads[number % reads.length] ?? '',
    hold: 0,
    cues: [],
    promised: { kind: 'read' as const },
  }
  const sections = script.sections.map((s) => ({
    ...s,
    beats: s.beats.flatMap((b) => (b === behind ? [b, read] : [b])),
  }))
  return { ...script, sections }
}

/** Puts the reads that were promised into what went out: words, link, and the cut's own times. */
export function withReads(episodes: readonly Episode[], scripts: Script[], show: Show): void {
  for (const episode of episodes) {
    // What is on a slot is read as the deal has it.
    if (episode.sponsor === kelpline && episode.place.kind === 'slot') delete episode.read
    const number = episode.show === show.id ? (episode.number ?? 0) : 0
    const at = scripts.findIndex((s) => s.id === episode.id)
    const before = scripts[at]
    if (readAt[number] === undefined || !before) continue
    const after = withRead(before, number)
    const [was, is] = [scriptFigures(before, show.pace), scriptFigures(after, show.pace)]
    const stretch = (episode.cut.length ?? was.seconds) / Math.max(1, was.seconds)
    scripts[at] = after
    episode.sponsor = kelpline
    delete episode.read
    episode.cut = {
      length: Math.round(is.seconds * stretch),
      starts: Object.fromEntries(is.sections.map((s) => [s.id, Math.round(s.start * stretch)])),
    }
    const link = {
      label: 'Rope by the metre, a tenth off with TILLER10',
      url: 'https://kelpline.example/tiller',
    }
    episode.links = [{ id: `${episode.id}/rope`, ...link }, ...episode.links]
  }
}

/** What was agreed with the demo's sponsors; `thursday` is the next release of the boats. */
export function demoDeals(at: string, thursday: Day, episodes: readonly Episode[]): Deal[] {
  const stamp = { createdAt: at, updatedAt: at }
  const id = (number: number) => episodes.find((e) => e.id === `boats-${number}`)?.id ?? ''
  const out = (number: number) => addDays(thursday, -7 * (42 - number))
  const paid = (number: number, shown = 9) => ({
    shown: addDays(out(number), -shown),
    agreed: addDays(out(number), -shown + 2),
    invoiced: addDays(out(number), 2),
    paid: addDays(out(number), 24),
  })
  const shown = (number: number) => ({ shown: addDays(out(number), -7), agreed: addDays(out(number), -6) })
  return [
    {
      id: 'deal-kelpline',
      show: 'boats',
      sponsor: kelpline,
      reads: 12,
      perMonth: 1,
      from: addDays(out(18), -10),
      to: addDays(out(18), 354),
      seconds: 45,
      place: 'opening',
      words: '',
      say: [],
      code: 'TILLER10',
      link: 'https://kelpline.example/tiller',
      disclosure: 'Kelpline Rope pays for this',
      without: ['Hawser & Sons'],
      shownBefore: 7,
      fee: 240,
      payWithin: 30,
      note: 'One read a month. They like the twine.',
      noted: {
        ...Object.fromEntries([18, 22, 31, 35].map((n) => [id(n), paid(n)])),
        [id(27)]: shown(27),
        [id(40)]: shown(40),
      },
      ...stamp,
    },
    {
      id: 'deal-brightwork',
      show: 'boats',
      sponsor: brightwork,
      reads: 1,
      from: out(37),
      to: out(37),
      words: '',
      say: [],
      code: '',
      link: '',
      disclosure: '',
      without: [],
      fee: 180,
      note: 'A try, before the winter.',
      noted: { [id(37)]: { ruled: 'counts', invoiced: addDays(out(37), 13) } },
      ...stamp,
    },
  ]
}

/** People whom the demo knows. */
export function demoPeople(at: string): Person[] {
  const person = (id: string, name: string, rest: Partial<Person>): Person => ({
    ...{
      id,
      name,
      also: [],
      roles: [],
      work: '',
      ways: [],
      known: '',
      note: '',
      createdAt: at,
      updatedAt: at,
    },
    ...rest,
  })
  const way = (id: string, kind: 'mail' | 'phone', value: string) => ({ id, kind, value })
  return [
    person('ines', 'Ines Varga', {
      work: 'ferry pilot',
      known: 'Her ferry passes the shed twice a day.',
      ways: [way('ines-mail', 'mail', 'ines@ferry.example'), way('ines-phone', 'phone', '+351 555 0142')],
    }),
    person('tomas', 'Tomas Ek', {
      work: 'lightship keeper',
      known: 'Wrote after the one on lights.',
      zone: 'Europe/Stockholm',
      ways: [way('tomas-mail', 'mail', 'tomas@lightship.example')],
    }),
    person('maren', 'Maren Quill', {
      work: 'tide reader',
      ways: [way('maren-mail', 'mail', 'maren@tides.example')],
    }),
    person('ansel', 'Ansel Drury', { work: 'ropewalk hand' }),
    person('pell', 'Pell Orring', {
      work: 'editor',
      roles: ['helper'],
      ways: [way('pell-mail', 'mail', 'pell@cuts.example')],
    }),
    person('kelpline', kelpline, {
      roles: ['sponsor'],
      known: 'They wrote when the splicing one was out.',
      ways: [way('kelpline-mail', 'mail', 'post@kelpline.example')],
    }),
    person('brightwork', brightwork, {
      roles: ['sponsor'],
      ways: [way('bw-mail', 'mail', 'desk@brightwork.example')],
    }),
  ]
}

/** Guests of the talks, and how far each is: recorded, booked, asked, coming, wished for. */
export function withGuests(episodes: readonly Episode[], steps: readonly Step[], today: Day): void {
  const visit = (title: string, guest: string, rest: Omit<Visit, 'guest'>) => {
    const episode = episodes.find((e) => e.title.startsWith(title))
    if (!episode) return undefined
    if (!episode.guests.includes(guest)) episode.guests = [...episode.guests, guest]
    if (Object.keys(rest).length > 0) episode.visits = [{ guest, ...rest }]
    return episode
  }
  const ago = (days: number) => addDays(today, -days)
  const recorded = steps.find((s) => s.name === 'Record the talk' && isOf(episodes, s, 'The ferry pilot'))
  visit('The ferry pilot', 'Ines Varga', {
    asked: ago(34),
    answered: { on: ago(31), comes: true },
    ...(recorded ? { step: recorded.id } : {}),
  })
  const tides = steps.find((s) => s.name === 'Record the talk' && isOf(episodes, s, 'Night tides'))
  visit('Night tides', 'Maren Quill', {
    asked: ago(12),
    answered: { on: ago(7), comes: true },
    ...(tides ? { step: tides.id } : {}),
  })
  if (tides) tides.blocks = [{ day: addDays(today, 9), minutes: 90, pinned: true, at: '15:00' }]
  visit('Lamp oil and lightships', 'Tomas Ek', { asked: ago(9), answered: { on: ago(2), comes: true } })
  visit('Ropewalk', 'Ansel Drury', {})
}

function isOf(episodes: readonly Episode[], step: Step, title: string): boolean {
  return episodes.some((e) => e.id === step.episode && e.title.startsWith(title))
}

/** What came back from the editor lately: cuts of what is out, with the days that each took. */
export function demoJobs(thursday: Day, moment: (day: Day) => string): Job[] {
  return [36, 38, 39, 41].map((number, i): Job => {
    const given = addDays(thursday, -7 * (42 - number) - 9)
    const back = moment(addDays(given, [3, 4, 2, 3][i] ?? 3))
    return {
      ...{ id: `job-${number}`, episode: `boats-${number}`, kind: 'cut', who: 'Pell Orring' },
      ...{ parts: ['script', 'notes'], shelf: [], asked: [] },
      ...{ given: moment(given), opened: moment(given), back, ended: back },
      ...{ createdAt: moment(given), updatedAt: back },
    }
  })
}
