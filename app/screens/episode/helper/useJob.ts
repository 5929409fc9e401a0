import { computed, ref } from 'vue'
import { answerHelper, endJob, giveJob } from '@core/commands/jobs'
import { jobOf } from '@core/helpers/jobs'
import type { Id, Job } from '@core/records'
import { useHelpers } from '@app/stores/helpers'
import { useLibrary } from '@app/stores/library'

/** What lies with a helper of an episode, and what can be done with it. */
export function useJob(episode: () => Id, kind: Job['kind']) {
  const library = useLibrary()
  const helpers = useHelpers()
  const job = computed(() => jobOf(library.tables.jobs.values(), episode(), kind))
  const copied = ref(false)
  return {
    job,
    copied,
    address: computed(() => (job.value ? helpers.addressOf(job.value) : '')),
    give: (who: string, parts: readonly string[] = [], shelf: readonly Id[] = []) =>
      library.perform(giveJob, {
        ...{ id: library.newId(), episode: episode(), kind, who },
        ...{ parts: [...parts], shelf: [...shelf] },
      }),
    end: () => {
      if (job.value) void library.perform(endJob, { job: job.value.id })
    },
    answer: (question: Id, answer: string) => {
      if (job.value) void library.perform(answerHelper, { job: job.value.id, question, answer }, 'quietly')
    },
    copy: async (text: string) => {
      try {
        await navigator.clipboard.writeText(text)
        copied.value = true
      } catch {
        library.say('The browser did not allow copying. Mark the text and press Ctrl C.', 'refused')
      }
    },
  }
}
export type JobInHand = ReturnType<typeof useJob>
