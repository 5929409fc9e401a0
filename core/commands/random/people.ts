import { dropCampaign, keepCampaign } from '../campaigns/keep-campaign'
import { keepDates } from '../deals/keep-dates'
import { dropDeal, keepDeal } from '../deals/keep-deal'
import { noteRead } from '../deals/note-read'
import { dropPerson, keepPerson } from '../people/keep-person'
import { mergePeople } from '../people/merge-people'
import { takeCards } from '../people/take-cards'
import { bookGuest, noteVisit, unbookGuest, type VisitNote } from '../people/visit'
import { addDays } from '../../rhythm/days'
import type { Chance, Deed } from './chance'
import { episode, idIn, near, one, show, slotDay, today, word } from './chance'

const names = ['Ines Varga', 'Ines', 'Tomas Ek', 'Kelpline Rope', 'Pell']
const name = (x: Chance) => one(names, x) ?? 'Ines'
/** An episode that has a guest, with them. */
function visited(x: Chance): { episode: string; guest: string } {
  const all = [...x.r.episodes.values()].filter((e) => e.guests.length > 0)
  const found = one(all, x)
  return found
    ? { episode: found.id, guest: one(found.guests, x) ?? '' }
    : { episode: episode(x), guest: name(x) }
}
const fields = (x: Chance) => ({
  name: x.n(9) > 0 ? name(x) : ' ',
  roles: [],
  work: word(x),
  ways: [{ id: x.c.id(), kind: 'mail' as const, value: 'someone@harbour.example' }],
  known: '',
  note: word(x),
})

/** Random deeds: people, deals, campaigns. */
export const peopleDeeds = {
  keepPerson: (x) =>
    keepPerson(
      x.r,
      {
        person: x.n(2) ? idIn(x.r.people, x) : undefined,
        was: x.n(2) ? name(x) : undefined,
        fields: fields(x),
      },
      x.c,
    ),
  dropPerson: (x) => dropPerson(x.r, { person: idIn(x.r.people, x) }, x.c),
  mergePeople: (x) => mergePeople(x.r, { keep: name(x), other: name(x) }, x.c),
  takeCards: (x) =>
    takeCards(
      x.r,
      {
        cards: [
          {
            name: name(x),
            work: word(x),
            ways: [{ kind: 'phone', value: '+1 555 0100' }],
            note: '',
            zone: undefined,
            isFirm: x.n(2) > 0,
          },
        ],
        role: 'guest',
      },
      x.c,
    ),
  noteVisit: (x) => {
    const notes: VisitNote[] = [
      { kind: 'asked', asked: x.n(3) > 0 },
      { kind: 'answered', comes: [true, false, undefined][x.n(3)] },
      { kind: 'told', told: x.n(2) > 0 },
    ]
    return noteVisit(x.r, { ...visited(x), note: notes[x.n(3)] ?? { kind: 'asked', asked: true } }, x.c)
  },
  bookGuest: (x) =>
    bookGuest(x.r, { ...visited(x), day: near(x, 3, 12), at: '15:00', minutes: 60 * x.n(3) }, x.c),
  unbookGuest: (x) => unbookGuest(x.r, visited(x), x.c),
  keepDeal: (x) =>
    keepDeal(
      x.r,
      {
        deal: x.n(2) ? idIn(x.r.deals, x) : undefined,
        fields: {
          ...{ show: show(x), sponsor: 'Kelpline Rope', reads: 1 + x.n(12), from: today(x), perMonth: 1 },
          ...{
            to: addDays(today(x), x.n(200) - 20),
            seconds: 30,
            place: 'opening',
            words: word(x),
            say: [word(x)],
          },
          ...{
            code: 'TILLER10',
            link: '',
            disclosure: 'paid',
            without: ['Other Rope'],
            shownBefore: 7,
            fee: 240,
          },
          note: '',
        },
      },
      x.c,
    ),
  dropDeal: (x) => dropDeal(x.r, { deal: idIn(x.r.deals, x) }, x.c),
  keepDates: (x) =>
    keepDates(x.r, { deal: idIn(x.r.deals, x), days: [slotDay(x), slotDay(x)].slice(x.n(3)) }, x.c),
  noteRead: (x) =>
    noteRead(
      x.r,
      {
        deal: idIn(x.r.deals, x),
        episode: episode(x),
        note: x.n(2) ? { shown: today(x) } : { shown: undefined, heardAt: x.n(99) - 2 },
      },
      x.c,
    ),
  keepCampaign: (x) =>
    keepCampaign(
      x.r,
      {
        campaign: x.n(2) ? idIn(x.r.campaigns, x) : undefined,
        fields: {
          ...{ name: word(x), outlet: 'video site', from: today(x), to: near(x, 2, 20), state: 'planned' },
          ...{ asset: '', address: '', posts: [] },
          ...(x.n(2) && x.r.launches.size > 0 ? { launch: idIn(x.r.launches, x) } : {}),
        },
      },
      x.c,
    ),
  dropCampaign: (x) => dropCampaign(x.r, { campaign: idIn(x.r.campaigns, x) }, x.c),
} satisfies Record<string, Deed>
