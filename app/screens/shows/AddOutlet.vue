<script setup lang="ts">
import { computed, ref } from 'vue'
import { addOutlet } from '@core/commands/shows'
import type { Show } from '@core/records'
import { useLibrary } from '@app/stores/library'
import TextField from '@app/ui/fields/TextField.vue'

/** Another place that a show goes out at: one that another show uses already, or a new one. */
const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
const name = ref('')
const known = computed(() => [...library.tables.outlets.values()].filter((o) => !show.outlets.includes(o.id)))
async function add(id: string, called: string) {
  const done = await library.perform(addOutlet, { show: show.id, id, name: called })
  if (done.ok) name.value = ''
}
</script>

<template>
  <section class="panel p-5" aria-labelledby="add-outlet">
    <h2 id="add-outlet" class="mb-1">Another outlet</h2>
    <p class="sub mb-3">
      Own site, newsletter, excerpts: each with its own parts, limits and moment. What goes out where stands
      on Release.
    </p>
    <form class="flex flex-wrap items-end gap-2" @submit.prevent="add(library.newId(), name)">
      <TextField v-model="name" label="Its name" placeholder="Newsletter" /><button
        class="btn"
        :disabled="name.trim() === ''"
      >
        Add it</button
      ><button v-for="o in known" :key="o.id" type="button" class="btn btn-bare" @click="add(o.id, o.name)">
        {{ o.name }}, as for the other show
      </button>
    </form>
  </section>
</template>
