import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import { z } from 'zod/mini'
import { followUp } from '@core/commands/ideas'
import { addDays } from '@core/rhythm/days'
import { beginEarlier, planMinutes } from '@core/commands/recipes'
import { periods, rhythmView } from '@core/views/rhythm'
import type { RhythmDeed } from '@core/views/rhythm-findings'
import { useCards } from '@app/stores/cards'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { useMade } from '@app/stores/made'
import { useMoment } from '@app/stores/moment'
import { remembered } from '@app/stores/remembered'

const Choice = z.object({
  show: z.string(),
  period: z.union([z.literal(13), z.literal(26), z.literal(52)]),
  form: z.string(),
})
type Choice = z.infer<typeof Choice>

/** What is looked at, and what the figures of it hold. */
export function useRhythm() {
  const library = useLibrary()
  const cards = useCards()
  const moment = useMoment()
  const made = useMade()
  const dialogs = useDialogs()
  const router = useRouter()
  const choice = remembered<Choice>('lamp-reel.rhythm', { show: '', period: 52, form: '' }, (kept) => {
    const read = Choice.safeParse(kept)
    return read.success ? read.data : undefined
  })
  const show = computed(() => moment.shows.find((s) => s.id === choice.value.show) ?? moment.shows[0])
  watch(() => show.value?.id, made.want, { immediate: true })
  const released = computed(() => cards.released.filter((e) => e.show === show.value?.id).reverse())
  const form = computed(() => show.value?.forms?.find((f) => f.id === choice.value.form)?.id)
  const view = computed(() => {
    const of = show.value
    const recipe = of && library.tables.recipes.get(of.recipe)
    return of && recipe
      ? rhythmView({
          show: of,
          recipe,
          released: released.value,
          made: made.all.filter((m) => m.episode.show === of.id),
          coming: cards.coming.filter((c) => c.show.id === of.id).slice(0, 5),
          today: moment.today,
          period: choice.value.period,
          form: form.value,
        })
      : undefined
  })
  function choose(to: Partial<Choice>) {
    choice.value = { ...choice.value, ...to }
  }
  async function act(deed: RhythmDeed): Promise<void> {
    switch (deed.kind) {
      case 'forecast':
        dialogs.show({ kind: 'forecast', episode: deed.episode })
        return
      case 'session':
        await router.push({ name: 'sessions' })
        return
      case 'follow up':
        await library.perform(followUp, { episode: deed.episode, why: deed.why })
        return
      case 'begin earlier':
        await library.perform(beginEarlier, { recipe: deed.recipe, stage: deed.stage, days: deed.days })
        return
      case 'plan minutes':
        await library.perform(planMinutes, { recipe: deed.recipe, kind: deed.step, times: deed.times })
    }
  }
  return {
    shows: computed(() => moment.shows),
    periods,
    choice,
    show,
    form,
    view,
    isReading: computed(() => {
      const from = addDays(moment.today, -7 * choice.value.period)
      return made.since === undefined || made.since > from
    }),
    choose,
    act,
  }
}
export type RhythmHere = ReturnType<typeof useRhythm>
