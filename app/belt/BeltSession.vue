<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { BeltPictures } from '@core/belt/pictures'
import type { BeltDeed } from '@core/belt/letters'
import { hasTakes, takesRemarks } from '@core/session/item-kinds'
import type { BeltItem, BeltSession } from '@core/belt/snapshot'

/** The session that runs, for the hand: what comes first large, the rest below, the lists to tick. */
const { session, pictures } = defineProps<{ session: BeltSession; pictures: BeltPictures }>()
const emit = defineEmits<{ act: [deed: BeltDeed] }>()
const open = computed(() => session.items.filter((i) => !i.got && !i.put))
const chosen = ref<string>()
const hand = useTemplateRef<HTMLElement>('hand')
/** Takes a shot in hand, wherever one had scrolled to. */
async function choose(item: BeltItem) {
  chosen.value = item.id
  await nextTick()
  hand.value?.scrollIntoView({ block: 'nearest' })
}
const here = computed(() => open.value.find((i) => i.id === chosen.value) ?? open.value[0])
const got = computed(() => session.items.filter((i) => i.got).length)
const began = ref(Date.now())
const pictureOf = (item: BeltItem) => (item.picture === undefined ? undefined : pictures[item.picture])
const kind = computed(() => here.value?.kind ?? 'shot')
const gotOf = (item?: BeltItem) => (hasTakes(item?.kind ?? 'shot') ? 'got' : 'done')
const reasons = ['', 'focus', 'sound', 'words']
function take(item: BeltItem, kept: boolean, reason = '') {
  const seconds = Math.min(86_400, Math.round((Date.now() - began.value) / 1000))
  began.value = Date.now()
  if (kept) chosen.value = undefined
  emit('act', { kind: 'take', session: session.id, item: item.id, kept, reason, seconds, saw: item.got })
}
function put(item: BeltItem) {
  chosen.value = undefined
  emit('act', { kind: 'put', session: session.id, item: item.id, on: !item.put, saw: item.put })
}
function back(item: BeltItem) {
  emit('act', { kind: 'got', session: session.id, item: item.id, got: !item.got, saw: item.got })
}
function check(id: string, on: boolean) {
  emit('act', { kind: 'check', session: session.id, item: id, on: !on, saw: on })
}
const remark = ref('')
function note() {
  const item = here.value
  if (!item || remark.value.trim() === '') return
  emit('act', { kind: 'remark', session: session.id, item: item.id, text: remark.value.trim() })
  remark.value = ''
}
const lists = computed(() =>
  [
    { name: 'Before the first shot', checks: session.before },
    { name: 'Before you strike', checks: session.after },
  ].filter((l) => l.checks.length > 0),
)
</script>

<template>
  <section class="grid grid-cols-1 gap-4" :aria-label="session.name">
    <p class="flex items-baseline gap-2">
      <strong class="flex-1">{{ session.name }}</strong><span class="num"
        >{{ got }} of {{ session.items.length }}</span
      >
    </p>
    <div
      v-if="here"
      ref="hand"
      class="scroll-my-3 panel p-4 grid grid-cols-1 gap-3"
      aria-label="In hand"
      role="group"
    >
      <p class="sub">{{ [here.of, here.where].filter(Boolean).join(', ') }}</p>
      <h2 class="text-20 leading-7">{{ here.name }}</h2>
      <img
        v-if="pictureOf(here)"
        :src="pictureOf(here)"
        :alt="`How ${here.name} is meant`"
        class="max-w-full max-h-[34vh] justify-self-center rounded-lg"
      />
      <p v-if="here.words" class="text-16 whitespace-pre-line">{{ here.words }}</p>
      <p v-if="here.takes > 0" class="sub">
        {{ here.takes }} {{ here.takes === 1 ? 'take' : 'takes' }} so far
      </p>
      <div class="grid grid-cols-[1fr_auto] gap-2">
        <button class="btn btn-main min-h-[52px] text-16" @click="take(here, true)">
          {{ hasTakes(kind) ? 'Got it' : 'Done' }}</button><button
          class="btn min-h-[52px]"
          @click="put(here)"
        >
          Not today
        </button>
      </div>
      <p v-if="hasTakes(kind)" class="flex flex-wrap gap-2">
        <button v-for="r in reasons" :key="r" class="btn min-h-[40px]" @click="take(here, false, r)">
          {{ r || 'again' }}
        </button>
      </p>
      <form v-if="takesRemarks(kind)" class="flex gap-2" @submit.prevent="note">
        <input
          v-model="remark"
          class="field"
          placeholder="For the edit"
          aria-label="A remark for the edit"
        /><button class="btn">Keep</button>
      </form>
    </div>
    <p v-else class="text-ink-2">All of it is {{ gotOf(session.items[0]) }}.</p>
    <ul class="panel divide-y divide-faint" aria-label="All shots">
      <li v-for="i in session.items" :key="i.id" class="flex items-center gap-3 px-4">
        <button
          class="flex-1 min-w-0 py-2.5 text-left"
          :disabled="i.got || i.put"
          :class="i.got || i.put ? 'text-ink-2' : ''"
          @click="choose(i)"
        >
          <img
            v-if="pictureOf(i)"
            :src="pictureOf(i)"
            alt=""
            class="float-right ml-3 h-9 w-14 rounded object-cover"
          /><span class="block truncate"
            >{{ i.name }}<span v-if="i.got" class="sub">, {{ gotOf(i) }}</span
            ><span v-if="i.put" class="sub">, not today</span></span
          ><span class="sub block truncate">{{ [i.of, i.where].filter(Boolean).join(', ') }}</span></button
        ><button
          v-if="i.got"
          class="btn btn-small"
          :aria-label="`Not ${gotOf(i)} after all: ${i.name}`"
          @click="back(i)"
        >
          Undo</button
        ><button
          v-else-if="i.put"
          class="btn btn-small"
          :aria-label="`Today after all: ${i.name}`"
          @click="put(i)"
        >
          Today</button
        ><span v-else class="num">{{ i.minutes }} min</span>
      </li>
    </ul>
    <section v-for="l in lists" :key="l.name" :aria-label="l.name">
      <h2 class="text-14 mb-1">{{ l.name }}</h2>
      <ul class="panel divide-y divide-faint">
        <li v-for="c in l.checks" :key="c.id">
          <label class="flex items-center gap-3 px-4 py-2.5"
            ><input type="checkbox" class="tick" :checked="c.on" @change="check(c.id, c.on)" />{{
              c.text
            }}</label
          >
        </li>
      </ul>
    </section>
  </section>
</template>
