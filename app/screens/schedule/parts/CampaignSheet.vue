<script setup lang="ts">
import { ref } from 'vue'
import { X } from '@lucide/vue'
import { dropCampaign, keepCampaign } from '@core/commands/campaigns'
import type { Campaign, CampaignPost } from '@core/records'
import { addDays } from '@core/rhythm/days'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import Sheet from '@app/ui/Sheet.vue'
import ChoiceField from '@app/ui/fields/ChoiceField.vue'
import DateField from '@app/ui/fields/DateField.vue'
import OptionalNumberField from '@app/ui/fields/OptionalNumberField.vue'
import TextField from '@app/ui/fields/TextField.vue'

/** A campaign: where and when it runs, money, what is shown, and its posts. */
const { campaign } = defineProps<{ campaign: Campaign | undefined }>()
const emit = defineEmits<{ close: [] }>()
const library = useLibrary()
const moment = useMoment()
const fields = ref({
  name: campaign?.name ?? '',
  launch: campaign?.launch ?? '',
  outlet: campaign?.outlet ?? '',
  from: campaign?.from ?? moment.today,
  to: campaign?.to ?? addDays(moment.today, 14),
  budget: campaign?.budget,
  spent: campaign?.spent,
  state: campaign?.state ?? ('planned' as const),
  asset: campaign?.asset ?? '',
  address: campaign?.address ?? '',
})
const posts = ref<readonly CampaignPost[]>(campaign?.posts ?? [])
const fault = ref('')
const states = (['planned', 'running', 'over', 'called off'] as const).map((s) => [s, s] as const)
const launches = [
  ['', 'no launch'] as const,
  ...[...library.tables.launches.values()].map((l) => [l.id, l.name] as const),
]
function put(id: string, to: Partial<CampaignPost> | undefined) {
  posts.value = posts.value.flatMap((p) => (p.id !== id ? [p] : to === undefined ? [] : [{ ...p, ...to }]))
}
function add() {
  const on = posts.value.at(-1)?.on
  posts.value = [
    ...posts.value,
    { id: library.newId(), on: on === undefined ? fields.value.from : addDays(on, 2), text: '', address: '' },
  ]
}
async function keep() {
  const { launch, budget, spent, ...rest } = fields.value
  const done = await library.perform(keepCampaign, {
    ...(campaign ? { campaign: campaign.id } : {}),
    fields: {
      ...rest,
      ...(launch === '' ? {} : { launch }),
      ...(budget === undefined ? {} : { budget }),
      ...(spent === undefined ? {} : { spent }),
      posts: [...posts.value],
    },
  })
  fault.value = done.ok ? '' : done.problem.sentence
  if (done.ok) emit('close')
}
async function drop() {
  emit('close')
  if (campaign) await library.perform(dropCampaign, { campaign: campaign.id })
}
</script>

<template>
  <Sheet open wide :title="campaign ? 'The campaign' : 'A campaign'" @close="emit('close')">
    <form class="grid gap-3 sm:grid-cols-2" @submit.prevent="keep">
      <TextField v-model="fields.name" label="What it is called" />
      <TextField
        v-model="fields.outlet"
        label="Where it runs"
        placeholder="harbour board, newsletter of another"
      />
      <DateField v-model="fields.from" label="From" required />
      <DateField v-model="fields.to" label="To" required />
      <div class="grid grid-cols-2 gap-2">
        <OptionalNumberField v-model="fields.budget" label="Budget" :min="0" placeholder="none" />
        <OptionalNumberField v-model="fields.spent" label="Spent" :min="0" placeholder="nothing" />
      </div>
      <div class="grid grid-cols-2 gap-2">
        <ChoiceField v-model="fields.state" label="State" :of="states" />
        <ChoiceField v-model="fields.launch" label="For" :of="launches" />
      </div>
      <TextField v-model="fields.asset" label="What is shown" placeholder="poster.png" />
      <TextField v-model="fields.address" label="Where it leads" placeholder="https://" />
      <fieldset class="sm:col-span-2 grid gap-2">
        <legend class="label">Posts</legend>
        <div v-for="(p, i) in posts" :key="p.id" class="flex flex-wrap items-end gap-2">
          <DateField
            :model-value="p.on"
            :label="`Post ${i + 1} on`"
            hidden
            required
            class="w-[170px]"
            @update:model-value="put(p.id, { on: $event })"
          />
          <TextField
            :model-value="p.text"
            :label="`Words of post ${i + 1}`"
            hidden
            class="flex-1 min-w-[180px]"
            placeholder="Words"
            @update:model-value="put(p.id, { text: $event })"
          />
          <label class="flex items-center gap-2 h-9"
            ><input
              type="checkbox"
              class="tick"
              :checked="p.out ?? false"
              @change="put(p.id, { out: !p.out })"
            />out</label
          ><button
            type="button"
            class="btn btn-bare px-2"
            :aria-label="`Take post ${i + 1} away`"
            @click="put(p.id, undefined)"
          >
            <X :size="14" />
          </button>
        </div>
        <button type="button" class="btn btn-small justify-self-start" @click="add">Add a post</button>
      </fieldset>
      <p v-if="fault" role="alert" class="late sm:col-span-2">{{ fault }}</p>
      <p class="flex gap-2 sm:col-span-2">
        <button class="btn btn-main">Keep it</button
        ><button v-if="campaign" type="button" class="btn" @click="drop">Let it go</button>
      </p>
    </form>
  </Sheet>
</template>
