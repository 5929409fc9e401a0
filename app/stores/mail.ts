import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { keepMail } from '@core/commands/ideas'
import { takeHelperLetters } from '@core/commands/jobs'
import { takeLetters } from '@core/commands/sessions'
import type { FileRecord } from '@core/commands/change'
import type { HelperMail } from '@core/helpers/deeds'
import { Mail, type BeltMail, type IdeaMail, type JottedMail } from '@core/formats/mail'
import { calendarEntries } from '@core/plan/calendar'
import { callMailbox, forgetHere, waitingHere } from '@app/data/outbox'
import { servedStart } from '@app/data/worlds'
import { useCaptureShow } from './capture-show'
import { useCards } from './cards'
import { useMoment } from './moment'
import { useWorkload } from './workload'
import { useLibrary } from './library'
import { useEventListener, useIntervalFn } from '@vueuse/core'

/**
 * Takes in what was jotted elsewhere and what the audience asks for: fetch, keep in one transaction, and
 * only then acknowledge.
 */
export const useMail = defineStore('mail', () => {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const workload = useWorkload()
  const state = ref<'unknown' | 'there' | 'away' | 'refused' | 'other'>('unknown')
  /** Files in the mailbox that are no letters, set aside there. */
  const unreadable = ref(0)
  const says = ref('')
  const postOpen = ref(false)
  const address = shallowRef<{ open: boolean; key: string; addresses: string[] }>({
    open: false,
    key: '',
    addresses: [],
  })
  /** The demo takes no mail that is meant for the creator's own data, nor the other way round. */
  const mine = computed(
    () => library.state === 'open' && moment.shows.length > 0 && library.world === servedStart().world,
  )
  const captureShow = useCaptureShow()
  const show = computed(() => captureShow.value?.id ?? '')

  /** A picture's bytes; nothing where they cannot be decoded. */
  function bytesOf(base64: string): Uint8Array<ArrayBuffer> | undefined {
    try {
      return Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))
    } catch {
      return undefined
    }
  }
  /** Letters without pictures that cannot be decoded: their words count all the same. */
  const readable = (mail: readonly IdeaMail[]): IdeaMail[] =>
    mail.map((m) =>
      m.kind === 'wish' && m.picture && !bytesOf(m.picture.base64) ? { ...m, picture: undefined } : m,
    )
  function filesOf(mail: readonly IdeaMail[]): FileRecord[] {
    return mail.flatMap((m) => {
      const bytes = m.kind === 'wish' && m.picture ? bytesOf(m.picture.base64) : undefined
      return bytes && m.kind === 'wish' && m.picture
        ? [{ id: `${m.id}/picture`, type: m.picture.type, bytes }]
        : []
    })
  }

  /** Keeps mail and says so; true when all of it is safe in the store. */
  async function keep(letters: IdeaMail[]): Promise<boolean> {
    const mail = readable(letters)
    if (mail.every((m) => library.tables.episodes.has(m.id))) {
      await library.settled()
      return true
    }
    return (await library.perform(keepMail, { show: show.value, mail, files: filesOf(mail) })).ok
  }

  /** Keeps letters, all at once or, where that is refused, each by itself; the ids of those that are safe. */
  async function keepSome(mail: Mail[]): Promise<string[]> {
    const ideas = mail.flatMap((m) => (m.kind === 'belt' || m.kind === 'helper' ? [] : [m]))
    const kept = [
      ...(await takeBelt(mail.flatMap((m) => (m.kind === 'belt' ? [m] : [])))),
      ...(await takeHelpers(mail.flatMap((m) => (m.kind === 'helper' ? [m] : [])))),
    ]
    if (ideas.length === 0) return kept
    if (await keep(ideas)) return [...kept, ...ideas.map((m) => m.id)]
    for (const one of ideas) if (await keep([one])) kept.push(one.id)
    return kept
  }

  /** Takes letters of the belt, all in one transaction; the ids of those that are safe, or were before. */
  async function takeBelt(mail: BeltMail[]): Promise<string[]> {
    if (mail.length === 0) return []
    const { openedLetters } = await import('@core/belt/open')
    const letters = openedLetters(mail, address.value.key)
    const fresh = letters.filter((l) => !library.tables.letters.has(l.id))
    if (fresh.length > 0 && !(await library.perform(takeLetters, { letters: fresh })).ok) return []
    await library.settled()
    return letters.map((l) => l.id)
  }

  /** Takes letters of helpers, all in one transaction; the ids of those that are safe, or were before. */
  async function takeHelpers(letters: HelperMail[]): Promise<string[]> {
    if (letters.length === 0) return []
    const fresh = letters.filter((l) => !library.tables.letters.has(l.id))
    if (fresh.length > 0 && !(await library.perform(takeHelperLetters, { letters: fresh })).ok) return []
    await library.settled()
    return letters.map((l) => l.id)
  }

  /** Takes the letters at this desk from now on. */
  async function takeOver(): Promise<void> {
    const answer = await callMailbox('PUT', '/desk')
    if (answer.kind !== 'answered') return
    state.value = 'there'
    await look()
  }

  async function take(): Promise<void> {
    const here = waitingHere()
    if (here.length > 0 && (await keep(here))) forgetHere(here.map((i) => i.id))
    for (let round = 0; round < 100; round++) {
      const answer = await callMailbox('GET', '/')
      state.value = answer.kind === 'answered' ? 'there' : answer.kind
      says.value = answer.kind === 'refused' ? answer.sentence : ''
      const body: unknown = answer.kind === 'answered' ? answer.body : undefined
      if (typeof body === 'object' && body !== null && 'other' in body) {
        state.value = 'other'
        return
      }
      if (typeof body === 'object' && body !== null && 'unreadable' in body)
        unreadable.value = Number(body.unreadable) || 0
      const letters: unknown[] =
        typeof body === 'object' && body !== null && 'mail' in body && Array.isArray(body.mail)
          ? body.mail
          : []
      const mail = letters.flatMap((letter) => {
        const read = Mail.safeParse(letter)
        return read.success ? [read.data] : []
      })
      if (mail.length === 0) return
      const kept = await keepSome(mail)
      const taken = await callMailbox('POST', '/taken', { ids: kept })
      if (taken.kind !== 'answered') return
      const left = mail.filter((m) => !kept.includes(m.id)).map((m) => m.id)
      if (left.length === 0) continue
      // The store fails for all, or these few cannot be taken: then they stand in nobody's way.
      if (kept.length === 0 && mail.length > 1) return
      await callMailbox('POST', '/refused', { ids: left })
    }
  }

  /** Looks into the mailbox now; one tab at a time. */
  async function look(): Promise<void> {
    if (!mine.value) return
    if ('locks' in navigator)
      await navigator.locks.request('lamp-reel.mail', { ifAvailable: true }, async (lock) => {
        if (lock) await take()
      })
    else await take()
  }

  async function tell(open = postOpen.value): Promise<void> {
    const answer = await callMailbox('PUT', '/about', {
      shows: moment.shows.map((s) => ({ id: s.id, title: s.title })),
      open,
    })
    if (answer.kind === 'answered') postOpen.value = open
    else if (answer.kind === 'refused') library.say(answer.sentence, 'refused')
  }

  async function begin(): Promise<void> {
    const about = await callMailbox('GET', '/about')
    if (
      about.kind === 'answered' &&
      typeof about.body === 'object' &&
      about.body !== null &&
      'open' in about.body
    )
      postOpen.value = about.body.open === true
    const where = await callMailbox('GET', '/address')
    if (
      where.kind === 'answered' &&
      typeof where.body === 'object' &&
      where.body !== null &&
      'addresses' in where.body &&
      'key' in where.body &&
      'open' in where.body &&
      Array.isArray(where.body.addresses)
    )
      address.value = {
        open: where.body.open === true,
        key: String(where.body.key),
        addresses: where.body.addresses.map(String),
      }
    const kept = await callMailbox('GET', '/calendar')
    if (kept.kind === 'answered') calendar.value = secretIn(kept.body)
    if (mine.value && about.kind === 'answered') await tell()
    await look()
  }
  watch(
    () => moment.shows.map((s) => s.title).join('\n'),
    () => {
      if (mine.value && state.value === 'there') void tell()
    },
  )

  /** The secret of the calendar's address; blank while nobody may subscribe. */
  const calendar = ref('')
  const calendarAddress = computed(() =>
    calendar.value === ''
      ? ''
      : `${address.value.addresses[0] ?? location.origin}/mail/calendar/${calendar.value}.ics`,
  )
  const secretIn = (body: unknown): string =>
    typeof body === 'object' && body !== null && 'secret' in body ? String(body.secret) : ''
  /** The calendar as a file: releases with alarms, due dates, the work laid on days. */
  async function calendarText(): Promise<string> {
    const { icalendar } = await import('@core/formats/icalendar')
    return icalendar(
      calendarEntries(
        [...cards.coming, ...cards.following, ...cards.unplaced].map((c) => ({
          id: c.episode.id,
          title: c.title,
          number: c.number,
          show: c.show,
          standing: c.standing,
          out: c.episode.phase.kind === 'released',
        })),
        workload.load.blocks,
      ),
      'Lamp Reel',
      moment.now,
    )
  }
  /** Hands the calendar to the server, under a new secret when asked. */
  async function publish(renew = false): Promise<void> {
    const answer = await callMailbox('PUT', '/calendar', { ics: await calendarText(), renew })
    if (answer.kind === 'answered') calendar.value = secretIn(answer.body)
    else
      library.say(
        answer.kind === 'refused'
          ? answer.sentence
          : 'No server answers, so nobody can subscribe. The calendar file works without one.',
        'refused',
      )
  }
  async function unpublish(): Promise<void> {
    const answer = await callMailbox('DELETE', '/calendar')
    if (answer.kind === 'answered') calendar.value = ''
  }
  let publishing: ReturnType<typeof setTimeout> | undefined
  watch([() => cards.coming, () => workload.load], () => {
    if (calendar.value === '' || !mine.value) return
    clearTimeout(publishing)
    publishing = setTimeout(() => {
      void publish()
    }, 2500)
  })

  let begun = false
  /** Starts looking, every quarter minute and whenever the page comes forward. */
  function start(): void {
    if (begun) return
    begun = true
    void begin()
    const again = () => {
      void look()
    }
    useIntervalFn(again, 15_000)
    useEventListener(window, 'focus', again)
    useEventListener(window, 'storage', (event) => {
      if (event.key?.startsWith('lamp-reel.jot.')) void look()
    })
    watch(mine, (now) => {
      if (now) void begin()
    })
  }

  const takeHandOver = (ideas: JottedMail[]): Promise<boolean> => keep(ideas)
  return {
    calendar,
    calendarAddress,
    calendarText,
    publish,
    unpublish,
    state,
    unreadable,
    takeOver,
    says,
    postOpen,
    address,
    mine,
    start,
    look,
    tell,
    takeHandOver,
  }
})
