<script setup lang="ts">
import { computed, ref } from 'vue'
import { useMoment } from '@app/stores/moment'
import { useIdeas } from '@app/stores/ideas'
import Drop from '@app/ui/Drop.vue'
import ConditionGroup from './ConditionGroup.vue'
import InAndOut from './InAndOut.vue'
import TextField from '@app/ui/fields/TextField.vue'
import { typedIn } from '@app/ui/fields/event'

/**
 * How the list is looked at: a view, its conditions, columns, order and groups; search; list or wall; in
 * and out.
 */
const ideas = useIdeas()
const moment = useMoment()
const name = ref('')
const columns = computed(() => [...ideas.fields.values()].filter((f) => f.name !== 'title'))
const groups = computed(() =>
  columns.value.filter(
    (f) =>
      f.kind === 'choice' ||
      ['series', 'topics', 'nature', 'rating', 'meant'].includes(f.name) ||
      (f.name.startsWith('own:') && f.kind !== 'number'),
  ),
)
const conditions = computed(() => ideas.view.where.of.length)
function column(field: string) {
  const now = ideas.view.columns
  ideas.change({ columns: now.includes(field) ? now.filter((c) => c !== field) : [...now, field] })
}
function move(field: string, by: number) {
  const now = [...ideas.view.columns]
  const at = now.indexOf(field)
  const to = at + by
  if (at < 0 || to < 0 || to >= now.length) return
  now.splice(to, 0, ...now.splice(at, 1))
  ideas.change({ columns: now })
}
async function save(close: () => void, id: string) {
  if (await ideas.saveView(name.value.trim() || ideas.view.name, id)) {
    name.value = ''
    close()
  }
}
const newId = () => crypto.randomUUID()
</script>

<template>
  <div class="flex flex-wrap items-center gap-2 mb-3">
    <select
      class="field w-auto max-w-[210px]"
      :value="ideas.view.id"
      aria-label="View"
      @change="ideas.take(typedIn($event))"
    >
      <option v-if="!ideas.views.some((v) => v.id === ideas.view.id)" :value="ideas.view.id">
        {{ ideas.view.name }}
      </option>
      <option v-for="v in ideas.views" :key="v.id" :value="v.id">
        {{ v.name }}{{ v.id === ideas.view.id && ideas.isChanged ? ', changed' : '' }}
      </option>
    </select>
    <Drop v-if="ideas.isChanged || ideas.isOwn" label="Keep view" small>
      <template #default="{ close }">
        <form class="grid gap-2" @submit.prevent="save(close, newId())">
          <TextField
            v-model="name"
            label="Keep it under a name of your own"
            maxlength="60"
            required
            placeholder="Winter, quick ones"
          />
          <button class="btn btn-main">Keep as new</button>
          <template v-if="ideas.isOwn"
            ><button v-if="ideas.isChanged" type="button" class="btn" @click="save(close, ideas.view.id)">
              Keep in “{{ ideas.view.name }}”</button
            ><button
              type="button"
              class="btn btn-bare"
              @click="
                () => {
                  ideas.dropView(ideas.view.id)
                  close()
                }
              "
            >
              Remove “{{ ideas.view.name }}”
            </button></template
          >
        </form>
      </template>
    </Drop>
    <input
      class="field w-[210px] max-sm:w-full"
      type="search"
      :value="ideas.view.words"
      placeholder="Find in titles, notes, scripts"
      aria-label="Find in ideas"
      @input="ideas.change({ words: typedIn($event) })"
    />
    <select
      v-if="moment.shows.length > 1"
      class="field w-auto"
      aria-label="Which show"
      :value="
        ideas.view.where.of.find((t) => t.kind === 'test' && t.field === 'show' && t.how === 'is')
          ? (ideas.view.where.of.flatMap((t) =>
              t.kind === 'test' && t.field === 'show' ? [t.value] : [],
            )[0] ?? '')
          : ''
      "
      @change="
        ideas.change({
          where: {
            ...ideas.view.where,
            of: [
              ...ideas.view.where.of.filter(
                (t) => !(t.kind === 'test' && t.field === 'show' && t.how === 'is'),
              ),
              ...(typedIn($event)
                ? [{ kind: 'test' as const, field: 'show', how: 'is' as const, value: typedIn($event) }]
                : []),
            ],
          },
        })
      "
    >
      <option value="">Every show</option>
      <option v-for="s in moment.shows" :key="s.id" :value="s.title">{{ s.title }}</option>
    </select>
    <Drop :label="conditions > 0 ? `Conditions ${conditions}` : 'Conditions'" wide :on="conditions > 1"
      ><ConditionGroup
        :group="ideas.view.where"
        :fields="ideas.fields"
        @change="ideas.change({ where: $event })"
    /></Drop>
    <Drop label="Columns" right>
      <ul class="grid gap-0.5" aria-label="Columns">
        <li
          v-for="f in [
            ...ideas.view.columns.flatMap((c) => ideas.fields.get(c) ?? []),
            ...columns.filter((c) => !ideas.view.columns.includes(c.name)),
          ]"
          :key="f.name"
          class="flex items-center gap-2"
        >
          <label class="flex items-center gap-2 flex-1 py-0.5"
            ><input
              type="checkbox"
              class="tick"
              :checked="ideas.view.columns.includes(f.name)"
              @change="column(f.name)"
            />{{ f.label }}</label
          ><template v-if="ideas.view.columns.includes(f.name)"
            ><button class="num px-1" :aria-label="`${f.label} further left`" @click="move(f.name, -1)">
              ↑</button
            ><button class="num px-1" :aria-label="`${f.label} further right`" @click="move(f.name, 1)">
              ↓
            </button></template
          >
        </li>
      </ul>
    </Drop>
    <Drop label="Order" right>
      <div class="grid gap-3">
        <label
          ><span class="label">Sorted by</span
          ><select
            class="field"
            :value="ideas.view.sort.by"
            @change="ideas.change({ sort: { ...ideas.view.sort, by: typedIn($event) } })"
          >
            <option value="hand">your own order</option>
            <option v-for="f in ideas.fields.values()" :key="f.name" :value="f.name">{{ f.label }}</option>
          </select></label
        >
        <label v-if="ideas.view.sort.by !== 'hand'" class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="ideas.view.sort.down"
            @change="ideas.change({ sort: { ...ideas.view.sort, down: !ideas.view.sort.down } })"
          />Largest or latest first</label
        >
        <label class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="tick"
            :checked="ideas.view.layout === 'wall'"
            @change="ideas.change({ layout: ideas.view.layout === 'wall' ? 'list' : 'wall' })"
          />As a wall of notes</label
        >
        <label
          ><span class="label">In groups by</span
          ><select class="field" :value="ideas.view.group" @change="ideas.change({ group: typedIn($event) })">
            <option value="">no groups</option>
            <option v-for="f in groups" :key="f.name" :value="f.name">{{ f.label }}</option>
          </select></label
        >
      </div>
    </Drop>
    <span class="flex-1" />
    <InAndOut />
  </div>
</template>
