<script setup lang="ts">
import { computed, ref } from 'vue'
import { editLine, editRecipe, takeStarter } from '@core/commands/shows'
import type { Lead, RecipeLine, Show } from '@core/model'
import { patternWords } from '@core/release/description'
import { sayMinutes } from '@core/script/timecode'
import { useLibrary } from '@app/stores/library'
import { completedBy } from '../episode/steps'

/** A show's recipe: its steps with minutes, leads and needs, and the description's pattern. */
const { show } = defineProps<{ show: Show }>()
const library = useLibrary()
const recipe = computed(() => library.records.recipes.get(show.recipe))
const carry = ref(true)
const total = computed(() => recipe.value?.lines.reduce((sum, l) => sum + l.minutes, 0) ?? 0)
const small = computed(() => (recipe.value?.lines.length ?? 0) <= 3)
const stageName = (id: string) => recipe.value?.stages.find((s) => s.id === id)?.name ?? ''
const named = (id: string) => recipe.value?.lines.find((l) => l.id === id)?.name ?? id
const fault = ref('')
const braced = (word: string) => `{${word}}`
const value = (event: Event) => (event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement || event.target instanceof HTMLTextAreaElement ? event.target.value : '')

async function write(line: RecipeLine, event: Event) {
  const done = await library.perform(editLine, { recipe: show.recipe, line, carry: carry.value })
  fault.value = done.ok ? '' : done.problem.sentence
  if (!done.ok && event.target instanceof HTMLElement) event.target.focus()
}
async function need(line: RecipeLine, other: string, event: Event) {
  const needs = line.needs.includes(other) ? line.needs.filter((n) => n !== other) : [...line.needs, other]
  await write({ ...line, needs }, event)
  if (event.target instanceof HTMLInputElement) event.target.checked = (recipe.value?.lines.find((l) => l.id === line.id)?.needs ?? []).includes(other)
}
function days(lead: Lead, event: Event): Lead {
  return { ...lead, days: Math.max(0, Math.round(Number(value(event)) || 0)) }
}
async function pattern(event: Event) {
  const done = await library.perform(editRecipe, { recipe: show.recipe, fields: { pattern: value(event) } })
  fault.value = done.ok ? '' : done.problem.sentence
}
</script>

<template>
  <section v-if="recipe" class="panel p-5" aria-labelledby="recipe">
    <div class="flex flex-wrap items-baseline gap-3 mb-3">
      <h2 id="recipe">Recipe</h2><p class="sub flex-1">“{{ recipe.name }}”, {{ recipe.lines.length }} steps, {{ sayMinutes(total) }} an episode</p>
      <button v-if="small" class="btn" @click="library.perform(takeStarter, { show: show.id, starter: 'full' }, 'aloud')">Take the fuller recipe, 12 steps</button>
      <button v-else class="btn btn-bare btn-small" @click="library.perform(takeStarter, { show: show.id, starter: 'small' }, 'aloud')">Back to three steps</button>
    </div>
    <div class="max-lg:overflow-x-auto">
      <table class="w-full text-left lines">
        <caption class="unseen">Steps of the recipe</caption>
        <thead><tr><th scope="col">Stage</th><th scope="col">Step</th><th scope="col" class="w-[96px]">Minutes</th><th scope="col" class="w-[190px]">Due</th><th scope="col">Needs</th><th scope="col">Completes</th></tr></thead>
        <tbody>
          <tr v-for="line in recipe.lines" :key="line.id">
            <td class="sub w-[92px]">{{ stageName(line.stage) }}</td>
            <td><input class="quiet-field mx-0" :value="line.name" :aria-label="`Name of ${line.name}`" @change="write({ ...line, name: value($event) }, $event)" /></td>
            <td><input class="field font-mono text-12" type="number" min="0" step="5" :value="line.minutes" :aria-label="`Minutes of ${line.name}`" @change="write({ ...line, minutes: Math.round(Number(value($event)) || 0) }, $event)" /></td>
            <td><label class="flex items-center gap-2"><input class="field font-mono text-12 w-[64px]" type="number" min="0" max="365" :value="line.lead.days" :aria-label="`Lead of ${line.name} in days`" @change="write({ ...line, lead: days(line.lead, $event) }, $event)" /><span class="sub whitespace-nowrap">{{ line.lead.by === 'after' ? 'd after' : line.lead.by === 'before' ? 'd before' : `d before ${named(line.lead.step)}` }}</span></label></td>
            <td class="sub"><details class="relative"><summary class="cursor-pointer rounded-control" :aria-label="`What ${line.name} needs`">{{ line.needs.map(named).join(', ') || 'nothing' }}</summary><div class="panel bg-raised border-line absolute left-0 top-6 z-10 p-3 grid gap-1.5 w-[230px]"><label v-for="other in recipe.lines.filter((l) => l.id !== line.id)" :key="other.id" class="flex items-center gap-2 text-ink"><input type="checkbox" class="tick" :checked="line.needs.includes(other.id)" :aria-label="`${line.name} needs ${other.name}`" @change="need(line, other.id, $event)" />{{ other.name }}</label></div></details></td>
            <td class="sub">{{ completedBy(line)?.replace('done when ', 'when ') ?? 'by a tick' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <label class="flex items-center gap-2 mt-3 text-12"><input v-model="carry" type="checkbox" class="tick" /> Change it in episodes in work too, where the step isn’t done</label>
    <p v-if="fault" role="alert" class="late mt-2">{{ fault }}</p>
    <div class="grid grid-cols-1 gap-4 mt-5 lg:grid-cols-2">
      <label><span class="label">Pattern of the description</span><textarea class="field font-mono text-12 min-h-[130px]" :value="recipe.pattern" @change="pattern" /></label>
      <div class="grid grid-cols-1 gap-3 content-start">
        <label><span class="label">Closing lines, {call}</span><textarea class="field min-h-[64px]" :value="recipe.call" @input="library.perform(editRecipe, { recipe: show.recipe, fields: { call: value($event) } })" /></label>
        <p class="sub">Words in braces are filled in: <template v-for="(what, word, i) in patternWords" :key="word"><template v-if="i">, </template><span class="num" v-text="braced(word)" /> {{ what }}</template>. A line whose words are empty is left out.</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.lines th { font: 400 11px/16px var(--font-sans); color: var(--ink-2); padding: 4px 8px; border-bottom: 1px solid var(--line); }
.lines td { padding: 4px 8px; border-bottom: 1px solid var(--faint); }
</style>
