<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { sayAgreed, sayState } from '@core/views/state-words'
import { outOfWindow } from '@core/ideas/usable'
import { sayAway, sayDay } from '@core/rhythm/days'
import { honours } from '@core/rhythm/reserve'
import type { Card } from '@core/views/card'
import { lampColumns } from '@core/views/slots'
import { sayFreshNotice, sayVerdict } from '@core/views/verdict'
import { useMoment } from '@app/stores/moment'
import { usePromises } from '@app/stores/promises'
import { useWorkload } from '@app/stores/workload'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import Chalk from '@app/ui/Chalk.vue'
import Flag from '@app/ui/Flag.vue'
import FormSign from '@app/ui/FormSign.vue'
import ImportanceMark from '@app/ui/ImportanceMark.vue'
import { useForms } from '@app/stores/forms'
import { useImportance } from '@app/stores/importance'
import { keysOn } from '@app/ui/keymap'
import LampMark from '@app/ui/LampMark.vue'
import { slotsKeys } from '../keymap'

/** The cells of a row of Slots that has an episode: picture, title, lamps, next step, whether it goes out on time. */
const { card, day } = defineProps<{ card: Card; day: string }>()
const emit = defineEmits<{ shift: [by: 1 | -1] }>()
const library = useLibrary()
const moment = useMoment()
const promises = usePromises()
const workload = useWorkload()
const desk = useDesk()
const dialogs = useDialogs()
const importance = useImportance()
const forms = useForms()
const pictures = usePictures()
const router = useRouter()
const kept = computed(() => {
  const { place } = card.episode
  return place.kind === 'slot' ? promises.keptFor(card.show.id, place.day) : undefined
})
/** What its slot is kept for, where the episode does not honour it. */
const breaks = computed(() =>
  kept.value && !honours(kept.value.reservation, card.episode, library.tables.launches)
    ? kept.value.reservation
    : undefined,
)
const stale = computed(() => outOfWindow(card.episode.nature, day))
const outlook = computed(() => desk.outlooks.get(card.episode.id))
const verdict = computed(() => workload.verdict(card))
const notice = computed(() => sayFreshNotice(card.standing, moment.today))
/** Stages of the creator's own, which have no column. */
const ownStages = computed(() => card.standing.stages.filter((s) => s.stage.kind === 'own'))
function open(stage: string) {
  void router.push({ name: 'episode', params: { code: card.episode.code, stage } })
}
const keyed = keysOn(slotsKeys, {
  move: ({ which }) => {
    emit('shift', which === 0 ? -1 : 1)
  },
})
</script>

<template>
  <td>
    <button
      class="thumb"
      :class="card.show.kind"
      :aria-label="`Pictures of ${card.title}`"
      @click="open('thumbnail')"
    >
      <img
        v-if="pictures.url(card.episode.chosenPicture ?? card.episode.pictures[0]?.id)"
        :src="pictures.url(card.episode.chosenPicture ?? card.episode.pictures[0]?.id)"
        alt=""
      /><Chalk v-else :title="card.title" />
    </button>
  </td>
  <td>
    <div class="flex items-center gap-1">
      <RouterLink
        :to="{ name: 'episode', params: { code: card.episode.code } }"
        class="no-underline block flex-1 min-w-0"
        :data-slot-card="card.episode.id"
        @keydown="keyed($event)"
        ><span class="block font-semibold leading-[18px] line-clamp-2">{{ card.title }}</span
        ><span class="sub"
          ><span class="num">{{ card.number }}</span> {{ card.show.title }}{{ ' '
          }}<FormSign :name="forms.of(card.episode)" /></span
        ><span v-if="ownStages.length > 0" class="flex flex-wrap gap-x-2 text-11 text-ink-2"
          ><span v-for="s in ownStages" :key="s.stage.id" class="inline-flex items-center gap-1"
            ><LampMark :lamp="s.lamp" :size="12" :name="s.stage.name" />{{ s.stage.name }}</span
          ></span
        ><span v-if="breaks" class="block text-11"
          ><Flag :size="9" />kept for {{ breaks?.name }}, not honoured yet</span
        ><span v-else-if="kept" class="block text-11 text-ink-2">for {{ kept?.reservation.name }}</span
        ><span v-if="stale" class="block text-11"
          ><Flag :size="9" /><span class="late">{{ stale }}</span></span
        ></RouterLink
      ><ImportanceMark
        :of="importance.of(card.episode)"
        :name="card.title"
        @press="importance.press(card.episode)"
      />
    </div>
  </td>
  <td v-for="s in lampColumns(card)" :key="s.kind" class="text-center lamp">
    <span v-if="s.joined" class="join" aria-hidden="true" />
    <button
      v-if="s.lamp && s.stage"
      class="relative block mx-auto w-[27px] h-[27px] rounded-full"
      :aria-label="`${card.number} ${s.stage.stage.name}: ${s.lamp.state}${s.lamp.late ? `, late ${s.lamp.late} d` : ''}`"
      @click="open(s.stage.stage.id)"
    >
      <LampMark :lamp="s.lamp" :size="27" hidden />
    </button>
    <span v-if="s.lamp?.late" class="note late">late {{ s.lamp.late }} d</span>
    <span v-else-if="s.lamp?.state === 'waiting'" class="note text-sea">waits</span>
  </td>
  <td class="pl-4">
    <template v-if="card.standing.next"
      ><span class="block font-medium leading-[18px]">{{ card.standing.next.step.name }}</span
      ><span class="sub"
        ><template v-if="card.standing.next.late"
          ><Flag />was due {{ sayDay(card.standing.next.due ?? '') }}</template
        ><template v-else-if="card.standing.next.agreed">{{ sayAgreed(card.standing.next.agreed) }}</template
        ><template v-else-if="card.standing.next.due"
          >due {{ sayDay(card.standing.next.due) }},
          {{ sayAway(card.standing.next.due, moment.today) }}</template
        ></span
      ></template
    ><span v-else :class="card.standing.ready ? 'font-medium' : 'sub'">{{ sayState(card.standing) }}</span>
  </td>
  <td>
    <button
      v-if="outlook"
      class="block text-left font-medium first-letter:uppercase rounded-control hover:underline"
      :aria-label="`${card.number}: ${sayVerdict(verdict)}. Open its forecast`"
      @click="dialogs.show({ kind: 'forecast', episode: card.episode.id })"
    >
      {{ verdict.word }}</button><span
      v-else-if="verdict.word"
      class="block font-medium first-letter:uppercase"
      >{{ verdict.word }}</span
    ><span v-if="verdict.why" class="block text-11 leading-[14px] first-letter:uppercase">{{
      verdict.why
    }}</span
    ><span v-if="notice" class="sub block">{{ notice }}</span>
  </td>
</template>

<style scoped>
.lamp {
  position: relative;
}
.join {
  position: absolute;
  left: 50%;
  top: 50%;
  width: 100%;
  height: 2px;
  margin-top: -1px;
  background: var(--lamp-line);
}
.note {
  position: absolute;
  inset: auto 0 5px;
  font-size: 11px;
  line-height: 12px;
  color: var(--ink-2);
  white-space: nowrap;
}
.note.late {
  color: var(--rose);
}
.note.text-sea {
  color: var(--sea);
}
</style>
