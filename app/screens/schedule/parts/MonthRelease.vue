<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { sixLamps } from '@core/recipe/progress'
import { sayState } from '@core/views/state-words'
import type { Card } from '@core/views/card'
import { useAddresses } from '@app/stores/addresses'
import { useForms } from '@app/stores/forms'
import { usePictures } from '@app/stores/pictures'
import { vCarries } from '@app/ui/drag/carry'
import AddressLinks from '@app/ui/AddressLinks.vue'
import FormSign from '@app/ui/FormSign.vue'
import Flag from '@app/ui/Flag.vue'
import Glyph from '@app/ui/Glyph.vue'
import { carriedEpisode } from '../carried'

/** A release on its day: picture and lamps, the title in two lines, how it stands in words. */
const { card } = defineProps<{ card: Card }>()
const emit = defineEmits<{ keyed: [event: KeyboardEvent] }>()
const pictures = usePictures()
const addresses = useAddresses()
const forms = useForms()
const form = computed(() => forms.of(card.episode))
const router = useRouter()
const out = computed(() => card.episode.phase.kind === 'released')
const late = computed(() => (out.value ? undefined : card.standing.late))
const picture = computed(() => pictures.url(card.episode.chosenPicture ?? card.episode.pictures[0]?.id))
const state = computed(() => {
  if (out.value) return 'out'
  return late.value === undefined ? sayState(card.standing) : `late ${late.value} d`
})
</script>

<template>
  <div class="relative min-w-0">
    <button
      v-carries="out ? undefined : carriedEpisode(card)"
      class="rel"
      :class="[card.show.kind, { gone: out, late: late !== undefined }]"
      :data-month-card="card.episode.id"
      :aria-label="`${card.number} ${card.title}${form ? `, ${form}` : ''}, ${state}${out ? '' : ', Alt and arrows move it'}`"
      @keydown="emit('keyed', $event)"
      @click="router.push({ name: 'episode', params: { code: card.episode.code } })"
    >
      <span class="flex items-center gap-1.5 w-full"
        ><img
          v-if="picture"
          :src="picture"
          alt=""
          class="w-[40px] h-[24px] object-cover rounded-[2px] flex-none"
        /><Glyph
          v-if="!out"
          :size="18"
          :lamps="sixLamps(card.standing)"
          :name="card.title"
          class="flex-none"
        /><span class="num text-11 ml-auto truncate">{{ card.number }}</span></span
      ><span class="line-clamp-2 font-medium leading-[15px] w-full">{{ card.title }}</span
      ><span class="text-11 leading-[14px] text-ink-2"
        ><span v-if="form" class="max-sm:hidden"><FormSign :name="form" />{{ ' ' }}</span
        ><template v-if="late !== undefined"
          ><Flag :size="9" /><span class="late">{{ state }}</span></template
        ><template v-else>{{ state }}</template></span
      >
    </button>
    <AddressLinks
      v-if="out"
      class="absolute right-0.5 bottom-0 text-ink-2 max-sm:hidden"
      :of="addresses.of(card.episode)"
      :about="card.number"
      @copy="addresses.copy"
    />
  </div>
</template>
