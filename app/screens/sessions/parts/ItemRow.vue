<script setup lang="ts">
import { Check, ChevronDown, ChevronUp } from '@lucide/vue'
import { computed } from 'vue'
import type { Session } from '@core/records'
import type { Item } from '@core/session/items'
import Flag from '@app/ui/Flag.vue'

/** One thing to get: ticked when it is, taken in hand by a press; earlier, later, or not today. */
const { item, number, episode, here, chosen, dark, took, session } = defineProps<{
  item: Item
  number: number
  episode: string
  here: boolean
  /** What can be done with it is shown. */
  chosen: boolean
  /** The light does not reach it. */
  dark: boolean
  /** Minutes it took. */
  took: number | undefined
  session: Session
}>()
const emit = defineEmits<{ pick: []; move: [by: -1 | 1]; off: [] }>()
const running = computed(() => session.run.kind === 'running')
const open = computed(() => !item.got && session.run.kind !== 'struck')
const takes = computed(() => item.takes.length)
</script>

<template>
  <li class="row" :class="{ here, got: item.got }">
    <component
      :is="open && !here ? 'button' : 'div'"
      class="flex items-center gap-3 flex-1 min-w-0 text-left px-3 py-1.5"
      :aria-label="open && !here ? `${running ? 'Take in hand' : 'Choose'}: ${item.name}` : undefined"
      @click="open && !here && emit('pick')"
    >
      <span class="sign" :class="item.got ? 'on' : here ? 'now' : ''" aria-hidden="true"
        ><Check v-if="item.got" :size="12" /></span
      ><span class="num w-[22px] text-right">{{ number }}</span
      ><span class="flex-1 min-w-0"
        ><span class="truncate block" :class="item.got ? 'text-ink-2' : here ? 'font-semibold' : ''"
          >{{ item.name }}<span v-if="item.got" class="unseen">, got</span
          ><span v-if="here" class="unseen">, in hand</span></span
        ></span
      ><span v-if="dark" class="late text-12"><Flag :size="9" />after the light</span
      ><span v-if="!item.shot.must" class="sub">could</span
      ><span v-if="takes > 1" class="sub">{{ takes }} takes</span><span class="num">{{ episode }}</span
      ><span class="num w-[52px] text-right"
        >{{ item.got && took !== undefined && took >= 1 ? Math.round(took) : item.shot.minutes }} min</span
      >
    </component>
    <span v-if="open && (here || chosen)" class="flex pr-1.5"
      ><button
        class="btn btn-bare btn-small px-1"
        :aria-label="`Earlier: ${item.name}`"
        @click="emit('move', -1)"
      >
        <ChevronUp :size="14" /></button
      ><button
        class="btn btn-bare btn-small px-1"
        :aria-label="`Later: ${item.name}`"
        @click="emit('move', 1)"
      >
        <ChevronDown :size="14" /></button
      ><button
        class="btn btn-bare btn-small px-1.5"
        :aria-label="`Not today: ${item.name}`"
        @click="emit('off')"
      >
        ×
      </button></span
    >
  </li>
</template>

<style scoped>
.row {
  position: relative;
  display: flex;
  align-items: center;
}
.row.here {
  background: var(--raised);
  box-shadow: inset 3px 0 var(--lamp-line);
}
.sign {
  display: grid;
  place-content: center;
  flex: none;
  width: 17px;
  height: 17px;
  border: 1.5px solid var(--ring);
  border-radius: 50%;
}
.sign.on {
  background: var(--ink-2);
  border-color: var(--ink-2);
  color: var(--ground);
}
.sign.now {
  border-color: var(--lamp-line);
  border-width: 2px;
}
</style>
