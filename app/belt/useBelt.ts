import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { z } from 'zod/mini'
import { BeltLetter, type BeltDeed } from '@core/belt/letters'
import { opened, sealed } from '@core/belt/seal'
import { readPictures, type BeltPictures } from '@core/belt/pictures'
import { readSnapshot, withDeeds, type Snapshot } from '@core/belt/snapshot'
import { inTurn } from '@app/data/in-turn'
import { mailKey } from '@app/data/mail-key'
import { callMailbox } from '@app/data/outbox'

const prefix = 'lamp-reel.belt.'
const snapshotKey = `${prefix}snapshot`
const picturesKey = `${prefix}pictures`
const deviceKey = `${prefix}device`
const countKey = `${prefix}count`
const letterPrefix = `${prefix}letter.`

/** A letter that is kept here until the desk says that it has it; `sent`: the mailbox has it safe. */
const KeptLetter = z.object({ letter: BeltLetter, sent: z.boolean() })
type KeptLetter = z.infer<typeof KeptLetter>
/** `pictures`: which handing out of pictures is there; a mailbox of before says nothing of it. */
const Answered = z.object({ at: z.string(), sealed: z.string(), pictures: z.optional(z.string()) })
/** Pictures as they are kept here: ciphered, with which handing out they are of. */
const KeptPictures = z.object({ stamp: z.string(), sealed: z.string() })

const random = (length: number) => crypto.getRandomValues(new Uint8Array(length))
/** An id, also on addresses that are not secure, where browsers make none themselves. */
const newId = () => [...random(16)].map((b) => b.toString(16).padStart(2, '0')).join('')

function kept(): KeptLetter[] {
  const names = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '')
  return names
    .filter((n) => n.startsWith(letterPrefix))
    .flatMap((n) => {
      try {
        const read = KeptLetter.safeParse(JSON.parse(localStorage.getItem(n) ?? ''))
        return read.success ? [read.data] : []
      } catch {
        return []
      }
    })
    .sort((a, b) => a.letter.n - b.letter.n)
}
const keep = (of: KeptLetter) => {
  localStorage.setItem(letterPrefix + of.letter.id, JSON.stringify(of))
}

function device(): string {
  const known = localStorage.getItem(deviceKey)
  if (known !== null) return known
  const fresh = newId()
  localStorage.setItem(deviceKey, fresh)
  return fresh
}

/**
 * The belt: the last snapshot, with what was done here since. What is done is kept here at once, goes to the mailbox in
 * its order when that answers, and is let go when the desk says that it has it.
 */
export function useBelt() {
  const key = ref('')
  const snapshot = shallowRef<Snapshot>()
  const pictures = shallowRef<BeltPictures>({})
  const letters = shallowRef<KeptLetter[]>([])
  const state = ref<'unknown' | 'there' | 'away' | 'refused'>('unknown')
  const trouble = ref('')
  /** What the desk said of deeds of this phone where its own word stood. */
  const over = ref<string[]>([])

  function read(text: string): void {
    const json = opened(text, key.value)
    const found = json === undefined ? undefined : readSnapshot(json)
    if (!found) {
      trouble.value = 'The desk’s snapshot can’t be read with this key. Scan the code at the desk once more.'
      return
    }
    if (snapshot.value && found.at < snapshot.value.at) return
    trouble.value = ''
    snapshot.value = found
    try {
      localStorage.setItem(snapshotKey, text)
    } catch {
      trouble.value = 'This phone has no room to keep all of it: out of reach it shows what came before.'
    }
    const taken = new Map(found.taken.map((t) => [t.id, t.over]))
    for (const { letter } of kept()) {
      if (!taken.has(letter.id)) continue
      const said = taken.get(letter.id)
      if (said !== undefined) over.value = [...over.value, said]
      localStorage.removeItem(letterPrefix + letter.id)
    }
    letters.value = kept()
  }

  const sync = inTurn(async () => {
    await send()
    const answer = await callMailbox('GET', '/belt')
    state.value = answer.kind === 'answered' ? 'there' : answer.kind
    if (answer.kind === 'refused') trouble.value = answer.sentence
    const body = answer.kind === 'answered' ? Answered.safeParse(answer.body) : undefined
    if (!body?.success) return
    if (body.data.sealed !== '') read(body.data.sealed)
    const { pictures: stamp = '' } = body.data
    if (stamp !== '' && stamp !== pictured) await fetchPictures(stamp)
  })
  /** Which handing out of pictures is shown. */
  let pictured = ''
  function showPictures(stamp: string, text: string): boolean {
    const json = opened(text, key.value)
    const found = json === undefined ? undefined : readPictures(json)
    if (!found) return false
    pictures.value = found
    pictured = stamp
    return true
  }
  async function fetchPictures(stamp: string): Promise<void> {
    const answer = await callMailbox('GET', '/belt/pictures')
    const body = answer.kind === 'answered' ? Answered.safeParse(answer.body) : undefined
    if (!body?.success) return
    // Also those that another key reads: they are not asked for again at every turn.
    pictured = stamp
    if (!showPictures(stamp, body.data.sealed)) return
    try {
      localStorage.setItem(picturesKey, JSON.stringify({ stamp, sealed: body.data.sealed }))
    } catch {
      // Out of reach it shows no pictures, or those of before: what has to be ticked is more than how it looks.
    }
  }
  function showKeptPictures(): void {
    try {
      const last = KeptPictures.safeParse(JSON.parse(localStorage.getItem(picturesKey) ?? ''))
      if (last.success) showPictures(last.data.stamp, last.data.sealed)
    } catch {
      // None were kept.
    }
  }
  /** Sends what waits, one behind the other, so that the order stays. */
  async function send(): Promise<void> {
    for (const one of kept()) {
      if (one.sent) continue
      const text = sealed(JSON.stringify(one.letter), key.value, random)
      const answer = await callMailbox('PUT', `/letters/${one.letter.id}`, {
        at: one.letter.at,
        sealed: text,
      })
      if (answer.kind !== 'answered') return
      keep({ ...one, sent: true })
      letters.value = kept()
    }
  }
  function act(deed: BeltDeed): void {
    const n = Number(localStorage.getItem(countKey) ?? '0') + 1
    try {
      localStorage.setItem(countKey, String(n))
      keep({
        letter: { id: newId(), device: device(), n, at: new Date().toISOString(), deed },
        sent: false,
      })
    } catch {
      trouble.value = 'This browser stores nothing here, perhaps because the window is private.'
      return
    }
    letters.value = kept()
    void sync()
  }

  const again = () => {
    void sync()
  }
  useIntervalFn(again, 5000)
  useEventListener(window, 'online', again)
  useEventListener(document, 'visibilitychange', again)
  onMounted(() => {
    key.value = mailKey()
    letters.value = kept()
    const last = localStorage.getItem(snapshotKey)
    if (last !== null && key.value !== '') read(last)
    if (key.value !== '') showKeptPictures()
    if (key.value === '')
      trouble.value = 'This phone has no key yet. Scan the code at the desk, under Mailbox.'
    else void sync()
  })
  return {
    /** As it is with what was done here. */
    seen: computed(() =>
      snapshot.value
        ? withDeeds(
            snapshot.value,
            letters.value.map((l) => l.letter.deed),
          )
        : undefined,
    ),
    pictures,
    waiting: computed(() => letters.value.filter((l) => !l.sent).length),
    state,
    trouble,
    over,
    act,
    sync,
  }
}
