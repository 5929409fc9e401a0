<script setup lang="ts">
import { computed, ref } from 'vue'
import BeltReader from './BeltReader.vue'
import BeltSession from './BeltSession.vue'
import { useBelt } from './useBelt'

/** Away from the desk: the session that runs, today, scripts, and ideas to read. */
const belt = useBelt()
const tabs = ['Session', 'Today', 'Scripts', 'Ideas'] as const
const chosen = ref<(typeof tabs)[number]>()
const session = computed(() => {
  const all = belt.seen.value?.sessions ?? []
  return all.find((s) => s.running) ?? all[0]
})
const tab = computed(() => chosen.value ?? (session.value ? 'Session' : 'Today'))
const script = ref<number>()
const reading = computed(() =>
  script.value === undefined ? undefined : belt.seen.value?.scripts[script.value],
)
const at = computed(() => belt.seen.value?.at.slice(0, 16).replace('T', ' ') ?? '')
const says = computed(() =>
  belt.state.value === 'away'
    ? `out of reach; as of ${at.value}`
    : belt.waiting.value > 0
      ? `${belt.waiting.value} on the way`
      : belt.state.value === 'there'
        ? 'in touch with the desk'
        : '',
)
</script>

<template>
  <BeltReader v-if="reading" :script="reading" @close="script = undefined" />
  <main
    v-else
    class="mx-auto max-w-[560px] px-4 pt-3 pb-20 grid grid-cols-1 gap-4 content-start min-h-screen"
  >
    <header class="flex items-center gap-2.5">
      <img src="/mark.svg" width="24" height="24" alt="" />
      <h1 class="text-20 flex-1">On the belt</h1>
      <p class="sub" role="status">{{ says }}</p>
    </header>
    <p v-if="belt.trouble.value" role="alert" class="late">{{ belt.trouble.value }}</p>
    <p v-for="(o, i) in belt.over.value" :key="i" role="alert" class="panel px-4 py-3">
      {{ o.charAt(0).toUpperCase() + o.slice(1) }}.
    </p>
    <template v-if="belt.seen.value">
      <BeltSession
        v-if="tab === 'Session' && session"
        :session="session"
        :pictures="belt.pictures.value"
        @act="belt.act"
      />
      <p v-else-if="tab === 'Session'" class="text-ink-2">
        No session is laid. At the desk, Sessions says who could go together.
      </p>
      <section v-else-if="tab === 'Today'" class="grid grid-cols-1 gap-3" aria-label="Today">
        <div v-if="belt.seen.value.next" class="panel px-4 py-3">
          <p class="sub">Next out, {{ belt.seen.value.next.when }}</p>
          <p class="font-semibold">
            <span class="num">{{ belt.seen.value.next.number }}</span> {{ belt.seen.value.next.title }}
          </p>
          <p class="sub">
            {{
              belt.seen.value.next.missing === 0 ? 'ready' : `${belt.seen.value.next.missing} still missing`
            }}
          </p>
        </div>
        <ul class="panel divide-y divide-faint">
          <li v-for="t in belt.seen.value.today" :key="t.step">
            <label class="flex items-center gap-3 px-4 py-3"
              ><input
                type="checkbox"
                class="tick"
                :checked="t.done"
                @change="belt.act({ kind: 'step', step: t.step, done: !t.done, saw: t.done })"
              /><span class="flex-1 min-w-0"
                ><span class="block font-medium" :class="t.done ? 'text-ink-2' : ''">{{ t.name }}</span
                ><span class="sub block truncate">{{ t.of }}</span></span
              ><span class="num">{{ t.minutes }} min</span></label
            >
          </li>
          <li v-if="belt.seen.value.today.length === 0" class="px-4 py-3 sub">Nothing lies on today.</li>
        </ul>
      </section>
      <section v-else-if="tab === 'Scripts'" aria-label="Scripts">
        <ul class="panel divide-y divide-faint">
          <li v-for="(s, i) in belt.seen.value.scripts" :key="s.number">
            <button class="flex w-full items-center gap-3 px-4 py-3 text-left" @click="script = i">
              <span class="flex-1"
                ><span class="num">{{ s.number }}</span> {{ s.title }}</span
              ><span class="num">{{ Math.round(s.seconds / 60) }} min</span>
            </button>
          </li>
          <li v-if="belt.seen.value.scripts.length === 0" class="px-4 py-3 sub">
            No script waits to be read.
          </li>
        </ul>
      </section>
      <section v-else aria-label="Ideas">
        <ul class="panel divide-y divide-faint">
          <li v-for="(i, n) in belt.seen.value.ideas" :key="n" class="px-4 py-2.5">
            {{ i.title }}<span v-if="i.note" class="sub block line-clamp-2">{{ i.note }}</span>
          </li>
        </ul>
        <p class="mt-3"><a class="btn" href="/jot">Jot an idea</a></p>
      </section>
    </template>
    <p v-else-if="!belt.trouble.value" class="text-ink-2">
      Nothing has come from the desk yet. Open Lamp Reel there, and it hands out what is needed here.
    </p>
    <nav class="tabs" aria-label="Parts of the belt">
      <button
        v-for="t in tabs"
        :key="t"
        class="tab"
        :aria-current="tab === t ? 'page' : undefined"
        @click="chosen = t"
      >
        {{ t }}
      </button>
    </nav>
  </main>
</template>

<style scoped>
.tabs {
  position: fixed;
  inset: auto 0 0;
  display: flex;
  background: var(--panel);
  border-top: 1px solid var(--line);
  padding-bottom: env(safe-area-inset-bottom);
}
.tab {
  flex: 1;
  min-height: 52px;
  color: var(--ink-2);
  font-weight: 500;
}
.tab[aria-current] {
  color: var(--ink);
  box-shadow: inset 0 2px var(--lamp-line);
}
</style>
