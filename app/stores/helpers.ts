import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { z } from 'zod/mini'
import { usualRate } from '@core/edit/frames'
import { cutsOf } from '@core/edit/rounds'
import { openJobs } from '@core/helpers/jobs'
import { helperPage, wantedBy } from '@core/helpers/page-of'
import type { Id, Job } from '@core/records'
import { callMailbox } from '@app/data/outbox'
import { useCards } from './cards'
import { useLibrary } from './library'
import { useMail } from './mail'
import { useMoment } from './moment'

const Secrets = z.object({ secrets: z.record(z.string(), z.string()) })

/**
 * What lies with helpers, and their pages: handed to the server a moment after each change, word for word what they show.
 * A page whose job has ended is named no more, and its address ends.
 */
export const useHelpers = defineStore('helpers', () => {
  const library = useLibrary()
  const cards = useCards()
  const mail = useMail()
  const moment = useMoment()
  /** The secret of each job's address, as the server said; none while it does not answer. */
  const secrets = shallowRef<Readonly<Record<Id, string>>>({})
  const state = ref<'unknown' | 'there' | 'away'>('unknown')
  const trouble = ref('')

  /** What lies with helpers now, with its episode. */
  const all = computed(() =>
    openJobs(library.tables.jobs.values()).flatMap((job) => {
      const card = cards.card(job.episode)
      return card ? [{ job, card }] : []
    }),
  )
  const pages = computed(() =>
    all.value.map(({ job, card }) => ({
      job: job.id,
      page: helperPage({
        job,
        card,
        cut: cutsOf(library.tables, job.episode).at(-1),
        rate: card.show.frames ?? usualRate,
        also: all.value.filter((a) => a.job.who === job.who && a.job.id !== job.id),
        letters: library.tables.letters.values(),
      }),
    })),
  )

  async function hand(): Promise<void> {
    const answer = await callMailbox('PUT', '/given', { pages: pages.value })
    state.value = answer.kind === 'away' ? 'away' : 'there'
    trouble.value = answer.kind === 'refused' ? answer.sentence : ''
    const read = answer.kind === 'answered' ? Secrets.safeParse(answer.body) : undefined
    if (read?.success) secrets.value = read.data.secrets
  }
  /** The address of a job's page; '' while the server has none. */
  function addressOf(job: Job): string {
    const secret = secrets.value[job.id]
    return secret === undefined ? '' : `${mail.address.addresses[0] ?? location.origin}/for/${secret}`
  }

  let begun = false
  let waits: ReturnType<typeof setTimeout> | undefined
  let told = ''
  /** Hands pages over from now on, by itself, when they show something else. */
  function start(): void {
    if (begun) return
    begun = true
    watch(
      [pages, () => mail.mine, () => mail.state],
      () => {
        if (!mail.mine || mail.state !== 'there') return
        const now = JSON.stringify(pages.value)
        // Where nothing was ever given out the server need not hear so.
        if (now === told || (now === '[]' && told === '' && library.tables.jobs.size === 0)) return
        told = now
        clearTimeout(waits)
        waits = setTimeout(() => {
          void hand().then(() => {
            if (state.value === 'away') told = ''
          })
        }, 400)
      },
      { immediate: true },
    )
  }
  return {
    all,
    state,
    trouble,
    start,
    hand,
    addressOf,
    dueOf: (job: Job) => {
      const card = cards.card(job.episode)
      return card ? wantedBy(job, card) : ''
    },
    /** Whether others than this machine can open a page. */
    isReachable: computed(() => mail.address.open),
    today: computed(() => moment.today),
  }
})
