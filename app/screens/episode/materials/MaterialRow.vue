<script setup lang="ts">
import { sayMoney } from '@core/partners/money'
import { ref, watch } from 'vue'
import { ExternalLink } from '@lucide/vue'
import { MaterialStand, type Material } from '@core/records'
import type { LateMaterial } from '@core/recipe/materials'
import { sayDay } from '@core/rhythm/days'
import { useMoment } from '@app/stores/moment'
import DateField from '@app/ui/fields/DateField.vue'
import { tickedIn, typedIn } from '@app/ui/fields/event'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'
import { isWeb } from '../../ideas/idea/shelf'

/** One thing that is needed: its state and what it costs at a glance, the rest unfolded. */
const { material, late, currency } = defineProps<{
  material: Material
  late: LateMaterial | undefined
  currency: string
}>()
const emit = defineEmits<{ change: [to: Partial<Material>]; remove: [] }>()
const moment = useMoment()
const isOpen = ref(false)
const supplier = ref(material.supplier ?? '')
const link = ref(material.link ?? '')
watch(
  () => material,
  (now) => {
    supplier.value = now.supplier ?? ''
    link.value = now.link ?? ''
  },
)
function stand(event: Event) {
  const read = MaterialStand.safeParse(typedIn(event))
  if (read.success) emit('change', { stand: read.data })
}
const day = (text: string) => (text === '' ? undefined : text)
</script>

<template>
  <li class="px-4 py-2">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <button
        class="flex-1 min-w-[140px] text-left"
        :aria-expanded="isOpen"
        :class="material.stand === 'here' ? 'text-ink-2' : 'font-medium'"
        @click="isOpen = !isOpen"
      >
        {{ material.what
        }}<span v-if="material.required && material.stand !== 'here'" class="sub font-normal"
          >, filming waits for it</span
        >
      </button>
      <span v-if="late" class="late text-12"
        >{{ late.days }} d too late for {{ sayDay(late.needed, moment.today) }}</span
      ><span v-else-if="material.expected && material.stand !== 'here'" class="sub">{{
        sayDay(material.expected, moment.today)
      }}</span
      ><span v-if="material.price !== undefined" class="num">{{ sayMoney(material.price, currency) }}</span
      ><a
        v-if="material.link && isWeb(material.link)"
        :href="material.link"
        target="_blank"
        rel="noopener noreferrer"
        class="text-ink-2"
        :aria-label="`Open the address of ${material.what}`"
        ><ExternalLink :size="14" /></a
      ><select
        class="field field-small w-auto"
        :value="material.stand"
        :aria-label="`State of ${material.what}`"
        @change="stand"
      >
        <option v-for="s in MaterialStand.options" :key="s" :value="s">{{ s }}</option>
      </select>
    </div>
    <div v-if="isOpen" class="grid grid-cols-2 md:grid-cols-4 gap-2 py-2 items-end">
      <OptionalNumberField
        :label="currency ? `Price, ${currency}` : 'Price'"
        :model-value="material.price"
        :min="0"
        :step="0.01"
        @update:model-value="emit('change', { price: $event })"
      /><DateField
        label="Expected"
        :model-value="material.expected ?? ''"
        @update:model-value="emit('change', { expected: day($event) })"
      /><DateField
        label="Needed by"
        :model-value="material.by ?? ''"
        @update:model-value="emit('change', { by: day($event) })"
      /><label class="flex items-center gap-2 min-h-[34px] text-12"
        ><input
          type="checkbox"
          class="tick"
          :checked="material.required"
          @change="emit('change', { required: tickedIn($event) })"
        />Filming waits for it</label
      ><TextField
        v-model="supplier"
        label="Supplier, or who lends it"
        @change="emit('change', { supplier: supplier.trim() || undefined })"
      /><TextField
        v-model="link"
        label="Address"
        class="col-span-2"
        @change="emit('change', { link: link.trim() || undefined })"
      /><button class="btn btn-small" @click="emit('remove')">Not needed</button>
    </div>
  </li>
</template>
