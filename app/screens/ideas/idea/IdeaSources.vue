<script setup lang="ts">
import { ref } from 'vue'
import { writeIdea } from '@core/commands/ideas'
import { type Episode, type Idea } from '@core/records'
import { useLibrary } from '@app/stores/library'

/** Where an idea comes from, and what it rests on. */
const { episode } = defineProps<{ episode: Episode }>()
const library = useLibrary()
function put(typed: Partial<Idea>, what: string) {
  void library.perform(writeIdea, { episode: episode.id, typed, what }, 'quietly')
}
const link = ref('')
function addSource() {
  const e = episode
  const typed = link.value.trim()
  if (typed === '') return
  const url = /^https?:\/\/\S+$/i.exec(typed)?.[0] ?? ''
  put(
    { sources: [...e.idea.sources, { id: crypto.randomUUID(), text: url ? '' : typed, url }] },
    'the sources',
  )
  link.value = ''
}
</script>

<template>
  <div>
    <p class="label">Links and sources</p>
    <ul class="grid gap-1 mb-2">
      <li v-for="s in episode.idea.sources" :key="s.id" class="flex gap-2 items-baseline">
        <span class="flex-1 min-w-0 break-words"
          >{{ s.text }}
          <a
            v-if="/^https?:/i.test(s.url)"
            :href="s.url"
            target="_blank"
            rel="noreferrer noopener"
            class="break-all"
            >{{ s.url }}</a
          ></span
        ><button
          class="text-ink-2 px-1"
          :aria-label="`Take the source ${s.text || s.url} away`"
          @click="put({ sources: episode.idea.sources.filter((x) => x.id !== s.id) }, 'the sources')"
        >
          ×
        </button>
      </li>
    </ul>
    <form class="flex gap-2" @submit.prevent="addSource">
      <input
        v-model="link"
        class="field"
        placeholder="A link, a book, who told you"
        aria-label="Add a source"
        maxlength="1000"
      /><button class="btn">Add</button>
    </form>
  </div>
</template>
