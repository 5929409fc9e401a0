<script setup lang="ts">
import { computed, ref } from 'vue'
import { Plus } from '@lucide/vue'
import { addTitle, takeSection, writeEpisode } from '@core/commands/episode'
import type { Episode } from '@core/records'
import { useLibrary } from '@app/stores/library'
import { useStart } from '@app/stores/start'

/**
 * A draft for a start, beside what is there: an outline, titles, post texts, hashtags; taken piece by
 * piece.
 */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
const wanted = ref(false)
const start = useStart(() => episode, wanted)
const script = computed(() => library.tables.scripts.get(episode.id))
const hasSection = (title: string) =>
  (script.value?.sections ?? []).some((s) => s.title === title && s.beats.some((b) => b.text.trim() !== ''))
function section(title: string, points: string[]) {
  void library.perform(takeSection, { episode: episode.id, title, points })
}
async function copy(text: string) {
  await navigator.clipboard.writeText(text)
  library.say('Copied.')
}
function tag(text: string) {
  void library.perform(
    writeEpisode,
    {
      episode: episode.id,
      typed: { tags: [...new Set([...episode.tags, text.replace('#', '')])] },
      what: 'the tags',
    },
    'quietly',
  )
}
</script>

<template>
  <section class="panel p-6" aria-labelledby="start">
    <header class="flex flex-wrap items-center gap-3">
      <h2 id="start" class="flex-1">A drafted start</h2>
      <button v-if="!wanted" class="btn" @click="wanted = true">Draft a start</button
      ><button v-else class="btn btn-small" @click="wanted = false">Put it away</button>
    </header>
    <p class="sub mt-1">
      Made on this machine by plain rules, offline, from the recipe’s outline, what you wrote here, the
      keywords and your own scripts on the topic. Take what helps; nothing of yours is written over.
    </p>
    <div v-if="start" class="grid gap-6 mt-4 md:grid-cols-2">
      <div>
        <h3 class="text-14 mb-2">Outline</h3>
        <ol class="grid gap-3">
          <li v-for="s in start.outline" :key="s.title" class="grid grid-cols-[minmax(0,1fr)_auto] gap-2">
            <div>
              <strong class="font-semibold">{{ s.title }}</strong>
              <ul class="sub list-disc pl-4">
                <li v-for="p in s.points" :key="p">{{ p }}</li>
              </ul>
              <p v-if="s.example" class="sub italic">{{ s.example.number }} began: “{{ s.example.text }}”</p>
            </div>
            <button
              v-if="!hasSection(s.title)"
              class="btn btn-small self-start"
              :aria-label="`Take “${s.title}” into the script`"
              @click="section(s.title, s.points)"
            >
              <Plus :size="13" aria-hidden="true" />Take</button
            ><span v-else class="sub">in the script</span>
          </li>
          <li
            v-for="l in start.lacking"
            :key="l.title"
            class="border-t border-dashed border-ring pt-3 grid grid-cols-[minmax(0,1fr)_auto] gap-2"
          >
            <p>
              Most of your earlier episodes on this also had a part on
              <strong class="font-semibold">{{ l.title }}</strong>{{ ' ' }}
              <span class="sub">({{ l.had }} of {{ l.of }})</span>
            </p>
            <button
              v-if="!hasSection(l.title)"
              class="btn btn-small self-start"
              :aria-label="`Take “${l.title}” into the script`"
              @click="section(l.title, [])"
            >
              <Plus :size="13" aria-hidden="true" />Take
            </button>
          </li>
        </ol>
      </div>
      <div class="grid gap-5 content-start">
        <div>
          <h3 class="text-14 mb-2">Titles</h3>
          <ul class="grid gap-1.5">
            <li v-for="t in start.titles" :key="t" class="flex gap-2 items-start">
              <span class="flex-1">{{ t }}</span><button
                v-if="!episode.titles.some((x) => x.text === t)"
                class="btn btn-small"
                :aria-label="`Take the title ${t}`"
                @click="library.perform(addTitle, { episode: episode.id, text: t })"
              >
                <Plus :size="13" aria-hidden="true" />Take</button
              ><span v-else class="sub">a candidate</span>
            </li>
          </ul>
        </div>
        <div>
          <h3 class="text-14 mb-2">Post texts</h3>
          <ul class="grid gap-2">
            <li v-for="p in start.posts" :key="p" class="flex gap-2 items-start">
              <span class="flex-1">{{ p }}</span><button
                class="btn btn-small"
                :aria-label="`Copy the post text ${p}`"
                @click="copy(p)"
              >
                Copy
              </button>
            </li>
          </ul>
        </div>
        <details>
          <summary class="py-1">Hashtags</summary>
          <p class="flex flex-wrap gap-2">
            <button
              v-for="h in start.hashtags"
              :key="h"
              class="btn btn-small"
              :aria-label="`Take ${h} as a tag`"
              @click="tag(h)"
            >
              {{ h }}
            </button>
          </p>
        </details>
      </div>
    </div>
  </section>
</template>
