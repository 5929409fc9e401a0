<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import { watchDebounced } from '@vueuse/core'
import { sayWhen } from '@core/partners/moves'
import { pressing, type Pressing } from '@core/partners/pressing'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { usePartners } from '@app/stores/partners'
import Flag from '@app/ui/Flag.vue'

/** What was promised to guests and sponsors and is due: told when everything else stands, and when changes rest. */
const library = useLibrary()
const moment = useMoment()
const partners = usePartners()
const most = 4
const all = shallowRef<readonly Pressing[]>([])
onMounted(partners.start)
watchDebounced(
  [() => library.records, () => moment.today],
  () => {
    all.value = pressing(partners.all, moment.today)
  },
  { debounce: 200, immediate: true },
)
</script>

<template>
  <section v-if="all.length > 0" aria-labelledby="with-partners">
    <h2 id="with-partners" class="mb-2">With guests and sponsors</h2>
    <ul class="panel divide-y divide-faint">
      <li v-for="(p, i) in all.slice(0, most)" :key="i">
        <RouterLink
          :to="{ name: 'partners', params: { who: p.name } }"
          class="flex items-center gap-3 px-4 py-2 no-underline hover:bg-raised"
        >
          <span class="flex-1 min-w-0"
            ><span class="block font-semibold truncate">{{ p.name }}</span
            ><span class="sub block truncate"
              >{{ p.move.what
              }}<template v-if="p.move.episode">, {{ partners.called(p.move.episode) }}</template></span
            ></span
          ><span class="text-12" :class="p.move.by < moment.today ? 'late' : 'text-ink-2'"
            ><Flag v-if="p.move.by < moment.today" :size="9" />{{ sayWhen(p.move, moment.today) }}</span
          >
        </RouterLink>
      </li>
    </ul>
    <RouterLink v-if="all.length > most" class="sub" :to="{ name: 'partners' }"
      >and {{ all.length - most }} more</RouterLink
    >
  </section>
</template>
