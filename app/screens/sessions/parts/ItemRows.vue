<script setup lang="ts">
import { sum } from 'd3-array'
import { computed, ref } from 'vue'
import type { Id, Session } from '@core/records'
import type { Item } from '@core/session/items'
import type { SetUp } from '@core/session/order'
import { sayMinutes } from '@core/script/timecode'
import { useMoment } from '@app/stores/moment'
import { firstRows, useGradually } from '@app/ui/gradually'
import type { SessionSeen } from '../useSession'
import type { SessionDeeds } from '../useSessionDeeds'
import ItemRow from './ItemRow.vue'

/** All that is to be got, by set-up, in its order; what is put off stands below. */
const { session, seen, deeds } = defineProps<{ session: Session; seen: SessionSeen; deeds: SessionDeeds }>()
const moment = useMoment()
const numbered = computed(() => new Map(seen.row.value.map((i, n) => [i.id, n + 1])))
const running = computed(() => session.run.kind === 'running')
const took = (s: SetUp) => sum(s.items, (i) => seen.took.value.get(i.id) ?? 0)
const figures = (s: SetUp) =>
  s.got === s.items.length && took(s) >= 1
    ? `${s.got} of ${s.items.length} · took ${sayMinutes(Math.round(took(s)))}`
    : `${s.got} of ${s.items.length} · ${sayMinutes(s.minutes)}`
const isShut = (s: SetUp) => running.value && s.got === s.items.length && !s.items.some(isHere)
const isHere = (i: Item) => i.id === seen.here.value?.id
const chosen = ref<Id>()
const drawn = useGradually(() => seen.row.value.length)
const shown = computed(() => firstRows<Item, SetUp>(seen.setUps.value, drawn.value))
/** What is pressed is taken in hand; before the first shot it shows what can be done with it. */
function pick(item: Id) {
  if (running.value) void deeds.to(item)
  else chosen.value = chosen.value === item ? undefined : item
}
</script>

<template>
  <div class="min-w-0">
    <p v-if="seen.seeking.value" class="sub mb-2" role="status">
      Still looking for an order with fewer changes.
    </p>
    <p v-if="seen.row.value.length === 0" class="panel p-5">
      {{
        session.kind === 'stock'
          ? 'Say what is to be filmed: it stands here, to be ticked on the day.'
          : 'Nothing is left to get in this session.'
      }}
    </p>
    <section
      v-for="({ group: s, items }, i) in shown"
      :key="`${i} ${s.name}`"
      class="mb-3"
      :aria-label="s.name || 'One set-up'"
    >
      <h2 class="flex gap-3 text-14 mb-1">
        <span class="flex-1 truncate" :class="s.name ? '' : 'text-ink-2 font-normal'">{{
          s.name || 'Where and how is not said'
        }}</span><span v-if="s.change > 0 && !isShut(s)" class="sub font-normal"
          >{{ s.change }} min to change</span
        ><span class="num font-normal">{{ figures(s) }}</span>
      </h2>
      <ul v-if="!isShut(s)" class="panel divide-y divide-faint overflow-clip">
        <ItemRow
          v-for="item in items"
          :key="item.id"
          :item="item"
          :number="numbered.get(item.id) ?? 0"
          :episode="seen.numberOf(item.episode)"
          :here="isHere(item)"
          :chosen="chosen === item.id"
          :dark="seen.changes.value.now.dark.includes(item.id)"
          :took="seen.took.value.get(item.id)"
          :session="session"
          @pick="pick(item.id)"
          @move="deeds.move(item.id, $event)"
          @off="deeds.off(item.id, true)"
        />
      </ul>
    </section>
    <section v-if="seen.put.value.length > 0" aria-labelledby="put-off">
      <h2 id="put-off" class="text-14 mb-1">Not today</h2>
      <ul class="panel divide-y divide-faint">
        <li v-for="p in seen.put.value" :key="p.id" class="flex items-center gap-3 px-4 py-1.5">
          <span class="flex-1 truncate">{{ p.name }}</span><span class="num">{{
            seen.numberOf(p.episode)
          }}</span
          ><button
            v-if="session.run.kind !== 'struck'"
            class="btn btn-small"
            :aria-label="`Today after all: ${p.name}`"
            @click="deeds.off(p.id, false)"
          >
            Today after all
          </button>
        </li>
      </ul>
    </section>
    <p v-if="session.run.kind === 'planned' && session.day > moment.today" class="sub mt-3">
      The order follows from place, framing, light and clothes, said on each episode’s Film. Press one to put
      it elsewhere; there it stays.
    </p>
  </div>
</template>
