import type { Day, Idea, IdeaStanding, Keyword, Nature } from '@core/records'
import { addDays } from '@core/rhythm/days'
import type { Motif } from './titles'

/**
 * What is known of a demo idea beside its line: topic, standing (n, p, s), rating, keyword numbers, and a
 * premise. In the order of the ideas.
 */
const knownBoats = `
Spars and sails|p|4|3|Ten, and when to use each. The other fifty are for show.
|n|4||
Hulls|||5|
Afloat|s|2|13|
Hulls|p|3||A thwart that folds away for the big load, with two hinges and a peg.
Workshop|p|3||
Spars and sails|||14|
Oars|p|5|2|It took me a whole summer. It need not take yours.
Workshop||||
Workshop|s|2||
Planking|n|5|0|A box, a kettle and a bent plank: what it would have saved me.
Fastenings|||10|
Workshop|p|3||
Hulls|p|4||
Finish|n|4|4|One tin, five jobs, two mistakes.
Hulls|p|4||
Fastenings|||1|
Afloat|p|4|9|
Afloat|n|5|15|Every year somebody asks. This winter it stays out, and I show it each month.
Workshop|s|3||
Workshop|p|3|8|
Planking|||11|
Workshop||||
Workshop|s|1||
Finish|p|3|7|
Finish||||
Oars|p|4|2|
Planking|n|4|11|Two boards, one winter in the mud, one honest answer.
Hulls|||5|
Afloat|s|2||
Fastenings|p|3|10|
Afloat|||13|
Hulls|p|4|5|
Spars and sails||||
Fastenings|s|2||
Workshop|||
Planking|||8|
Hulls|p|3||
Workshop|s|1||
Hulls|n|5||The first part asked who owns it. She wrote to me.`

const knownTalks = `
Lights|n|5|20|The last one who lived on a lightship tells what a night there was.
Yards|p|4|22|
Harbour life|||
Fishing|p|4||
Lights|n|4|20|
Harbour life|s|2||
Tides|p|3|21|Before the machine there was a man with a pencil and forty years of pencil.
Ferries|||24|
Tides|||
Lights|p|3|20|
Harbour life|||
Harbour life|p|4||
Tides|s|2|21|
Tides|||
Fishing|n|4|23|
Ferries|p|4|24|Why the boat leaves at ten past, and has since 1931.
Fishing|||23|
Lights|s|3||
Yards|||22|
Harbour life|p|3||`

/**
 * Words people search for: searches a month, competing results, days since they were measured. The first
 * twenty are the boats’.
 */
const keywordLines = `
steam bending wood|4400|310000|40
copper rivets boat|720|24000|40
how to row a boat|9900|5200000|40
knots for cold hands|390|9000|40
pine tar finish|2900|140000|40
wooden dinghy restoration|1900|88000|210
moisture meter wood|5400|1900000|40
boat name lettering|1300|420000|40
hand saw for boatbuilding|260|31000|40
mud anchor|480|12000|210
bronze boat fittings|1600|260000|40
oak or larch for boats|210|4100|40
boat trestle plans|590|15000|40
boat trailer lights|8100|3300000|40
tarred rope|880|46000|40
leave a boat outside in winter|1100|19000|
boat hull inspection|3600|2400000|210
boat painting by hand|2400|760000|40
bowsprit|6600|490000|40
spiling planks|320|6800|40
lightship keeper|1000|21000|60
tide tables history|170|3900|60
ropewalk|2100|120000|60
fish quay stories|90|1400|60
river ferry pilot|260|5600|`

const standings: Readonly<Record<string, IdeaStanding>> = {
  n: 'next',
  p: 'promising',
  s: 'someday',
  '': 'unsorted',
}

/** The demo's keywords; figures measured some days before `today`, or of no known date. */
export function demoKeywords(today: Day, at: string): Keyword[] {
  return keywordLines
    .trim()
    .split('\n')
    .map((line, i) => {
      const [words = '', searches = '', competing = '', age = ''] = line.split('|')
      return {
        id: `k${i}`,
        show: i < 20 ? 'boats' : 'talks',
        words,
        searches: Number(searches),
        competing: Number(competing),
        notes: i === 0 ? 'Spring and autumn' : '',
        ...(age === '' ? {} : { measured: addDays(today, -Number(age)) }),
        createdAt: at,
        updatedAt: at,
      }
    })
}

/** Ideas with a picture pinned to them, and what is on it. */
export const sketches: Readonly<Record<string, Motif>> = {
  'Ten knots I actually use': 'rope',
  'A folding thwart': 'hull',
  'Building a steam box after all': 'plank',
  'Anchors for a mud harbour': 'waves',
  'Sculling over the stern, learned badly': 'oars',
  'A bowsprit for a day': 'sail',
  'Lamp oil and lightships, with Tomas Ek': 'tower',
  'What the seals know': 'waves',
}

/** What is known of one demo idea. */
export interface Known {
  topics: string[]
  nature: Nature
  guests: string[]
  idea: Partial<Idea>
}

/**
 * What is known of the `index`th idea of a show. A few are topical, meant for a month, asked for, or tied
 * to an occasion.
 */
export function knownOf(
  show: 'boats' | 'talks',
  index: number,
  title: string,
  today: Day,
  at: string,
): Known {
  const [topic = '', standing = '', rating = '', keyword = '', premise = ''] = (
    (show === 'boats' ? knownBoats : knownTalks).trim().split('\n')[index] ?? ''
  ).split('|')
  const month = (ahead: number) => {
    const [y = 2026, m = 1] = today.split('-').map(Number)
    const n = m - 1 + ahead
    return `${y + Math.floor(n / 12)}-${String((n % 12) + 1).padStart(2, '0')}`
  }
  const known: Known = {
    topics: topic === '' ? [] : [topic],
    nature: { kind: 'evergreen' },
    guests: title.includes('Tomas Ek') ? ['Tomas Ek'] : [],
    idea: {
      standing: standings[standing] ?? 'unsorted',
      premise,
      keywords: keyword === '' ? [] : [`k${keyword}`],
      ...(rating === '' ? {} : { rating: Number(rating) }),
    },
  }
  if (title === 'Leaving a boat out all winter, on purpose')
    known.nature = { kind: 'topical', notBefore: addDays(today, -20), staleAfter: addDays(today, 85) }
  if (title === 'Ice on the river, remembered')
    known.nature = { kind: 'topical', staleAfter: addDays(today, 60) }
  if (title === 'Trailer lights that survive salt') known.idea.meant = month(4)
  if (title === 'Pine tar on everything')
    known.idea.occasion = { kind: 'season', name: 'the tarring weeks', day: addDays(today, 120), lead: 30 }
  if (title === 'Anchors for a mud harbour') known.idea.meant = month(2)
  if (title === 'Building a steam box after all') known.idea.meant = month(1)
  if (title === 'Bells, horns and other manners') known.idea.meant = month(1)
  if (title === 'Sculling over the stern, learned badly')
    known.idea.asked = [
      {
        id: 'a1',
        name: 'Mara',
        mail: 'mara@post.example',
        tell: true,
        wish: 'Could you show sculling with one oar? Slowly, please.',
        at,
      },
      { id: 'a2', name: '', mail: '', tell: false, wish: 'Sculling over the stern', at },
    ]
  if (title === 'Oak against larch, one year in the mud')
    known.idea.sources = [
      { id: 's1', text: 'The yard’s own notes', url: 'https://yard.example/oak-and-larch' },
    ]
  if (title === 'Ropewalk on tape') known.idea.series = 'Old trades'
  if (title === 'Mud larks and mud laws') known.idea.restUntil = addDays(today, 30)
  return known
}
