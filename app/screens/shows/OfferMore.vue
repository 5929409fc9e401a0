<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, ref } from 'vue'
import { X } from '@lucide/vue'
import { editShow } from '@core/commands/shows'
import { keepOffer } from '@core/commands/offers'
import type { Offer, Show } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { titleOf } from '@core/release/parts'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { useOffers } from '@app/stores/offers'
import DateField from '@app/ui/fields/DateField.vue'
import NumberField from '@app/ui/fields/NumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** More of an offer: whether scripts begin with it, the file that it gives away, and how often it was taken. */
const { offer, show } = defineProps<{ offer: Offer; show: Show }>()
const library = useLibrary()
const moment = useMoment()
const offers = useOffers()
const taken = computed(() => [...(offer.taken ?? [])].sort((a, b) => (a.on < b.on ? 1 : -1)))
const all = computed(() => sum(taken.value, (t) => t.count))
const isFirst = computed(() => show.offer === offer.id)
function keep(to: Partial<Pick<Offer, 'file' | 'taken'>>) {
  const { id, createdAt: _made, updatedAt: _changed, ...fields } = offer
  void library.perform(keepOffer, { offer: id, ...fields, ...to }, 'quietly')
}
function begin() {
  void library.perform(
    editShow,
    { show: show.id, fields: { offer: isFirst.value ? undefined : offer.id } },
    'quietly',
  )
}
const on = ref(moment.today)
const count = ref(0)
const of = ref('')
const said = computed(() => [...new Map(offers.usesOf(offer).map((u) => [u.episode.id, u.episode])).values()])
function add() {
  keep({
    taken: [
      ...(offer.taken ?? []),
      { on: on.value, count: count.value, ...(of.value === '' ? {} : { episode: of.value }) },
    ],
  })
  count.value = 0
}
function drop(entry: NonNullable<Offer['taken']>[number]) {
  keep({ taken: (offer.taken ?? []).filter((t) => t !== entry) })
}
const episodeOf = (id: string | undefined) => library.tables.episodes.get(id ?? '')
</script>

<template>
  <details class="sm:col-span-2">
    <summary class="cursor-pointer text-12 text-ink-2">
      {{ isFirst ? 'scripts begin with it' : 'file, figures'
      }}<template v-if="all > 0">, taken {{ all.toLocaleString('en') }} times</template
      ><template v-if="offer.file && !offer.file.made">, its file is to be made</template>
    </summary>
    <div class="grid gap-3 sm:grid-cols-2 mt-2">
      <div class="grid gap-2 content-start">
        <label class="flex items-center gap-2"
          ><input type="checkbox" class="tick" :checked="isFirst" @change="begin" />What scripts of
          {{ show.title }} ask first</label
        >
        <TextField
          :model-value="offer.file?.name ?? ''"
          lazy
          label="The file that it gives away"
          placeholder="drawings.pdf, or none"
          @update:model-value="keep({ file: { name: $event, made: offer.file?.made ?? false } })"
        />
        <label v-if="offer.file" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="offer.file.made"
            @change="keep({ file: { name: offer.file?.name ?? '', made: !offer.file?.made } })"
          />It is made</label
        >
      </div>
      <div class="grid gap-2 content-start">
        <form class="flex flex-wrap items-end gap-2" @submit.prevent="add">
          <NumberField v-model="count" label="Taken" :min="0" field="field w-[90px]" />
          <DateField v-model="on" label="counted on" required class="w-[170px]" />
          <label class="flex-1 min-w-[120px]"
            ><span class="label">of</span
            ><select v-model="of" class="field">
              <option value="">all together</option>
              <option v-for="e in said" :key="e.id" :value="e.id">{{ titleOf(e) }}</option>
            </select></label
          >
          <button class="btn">Note</button>
        </form>
        <ul v-if="taken.length > 0" class="text-12">
          <li
            v-for="t in taken"
            :key="`${t.on} ${t.count} ${t.episode ?? ''}`"
            class="flex gap-2 border-t border-faint py-1"
          >
            <span class="num w-[60px] text-right">{{ t.count.toLocaleString('en') }}</span><span
              class="flex-1 min-w-0 truncate"
              >{{ episodeOf(t.episode)?.title ?? '' }}</span
            ><span class="text-ink-2">{{ sayDay(t.on, moment.today) }}</span
            ><button :aria-label="`Take ${t.count} of ${sayDay(t.on)} away`" @click="drop(t)">
              <X :size="12" />
            </button>
          </li>
        </ul>
      </div>
    </div>
  </details>
</template>
