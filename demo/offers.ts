import type { AskedRead, Offer, Script } from '@core/records'

/** What the demo's sponsors asked of their reads. */
export const askedReads: Readonly<Record<string, AskedRead>> = {
  'Kelpline Rope': {
    words:
      'This one is made with Kelpline Rope. Everything that holds this boat to the quay is theirs: three strands, no wax, and it coils the second time as it did the first. They sell it by the metre, and they answer letters. Say that a dinghy sent you, and the whipping twine is in the parcel.',
    seconds: 25,
    place: 'middle',
  },
  'Brightwork Varnish': {
    words:
      'Brightwork Varnish pays for the tins in this episode. It goes on in the cold and it does not run while you are looking at something else.',
    seconds: 15,
    place: 'opening',
  },
}

const stamp = (at: string) => ({ createdAt: at, updatedAt: at })

/** What the demo's audience is asked to do. */
export function demoOffers(at: string): Offer[] {
  return [
    {
      id: 'offer-drawings',
      name: 'The drawings',
      address: 'https://tern-and-tiller.example/drawings',
      wordings: [
        {
          id: 'offer-drawings/1',
          text: 'The drawings of this boat are on the site, with every offset. Print them, and tell me where I went wrong.',
        },
        {
          id: 'offer-drawings/2',
          text: 'If you would rather build than watch: the sheets are under this video, and the first one costs nothing.',
        },
        {
          id: 'offer-drawings/3',
          text: 'Somebody asked for the lines of her. They are drawn, all nine sheets, and the link is below.',
        },
      ],
      shows: ['boats'],
      ...stamp(at),
    },
    {
      id: 'offer-harbour-post',
      name: 'The harbour post',
      address: 'https://tern-and-tiller.example/post',
      wordings: [
        {
          id: 'offer-harbour-post/1',
          text: 'There is a letter, once a month, with what did not fit into an hour. Leave your address at the harbour post.',
        },
      ],
      shows: ['talks'],
      ...stamp(at),
    },
  ]
}

/** Every third of the boats' episodes says the drawings before its last words, in one wording and then the other. */
const every = 3

/** A released script with the offer that it said, if it said one: `number` is its episode's. */
export function saying(script: Script, number: number): Script {
  const last = script.sections.at(-1)
  const beat = last?.beats.at(-1)
  if (!last || !beat || number % every !== 0) return script
  const wording = demoOffers('')[0]?.wordings[(number / every) % 2]
  if (!wording) return script
  const said = {
    id: `${last.id}/offer`,
    delivery: 'camera' as const,
    text: wording.text,
    hold: 0,
    cues: [],
    promised: { kind: 'offer' as const, offer: 'offer-drawings', wording: wording.id },
  }
  const closing = { ...last, beats: [...last.beats.slice(0, -1), said, beat] }
  return { ...script, sections: [...script.sections.slice(0, -1), closing] }
}
