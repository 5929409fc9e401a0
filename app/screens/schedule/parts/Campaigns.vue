<script setup lang="ts">
import { computed, ref } from 'vue'
import { campaignFaults, campaignSums } from '@core/partners/campaigns'
import type { Campaign } from '@core/records'
import { sayDay } from '@core/rhythm/days'
import { useLibrary } from '@app/stores/library'
import { useMoment } from '@app/stores/moment'
import { download } from '@app/ui/download'
import Flag from '@app/ui/Flag.vue'
import CampaignSheet from './CampaignSheet.vue'

/** Campaigns: where each runs and when, what it may cost and did, what is shown, its posts; with their sums. */
const library = useLibrary()
const moment = useMoment()
const all = computed(() => [...library.tables.campaigns.values()].sort((a, b) => (a.from < b.from ? -1 : 1)))
const sums = computed(() => campaignSums(all.value))
const editing = ref<{ of?: Campaign }>()
const money = (n: number | undefined) => (n === undefined || n === 0 ? '' : n.toLocaleString('en'))
const currency = computed(() => library.settings.currency ?? '')
const launchOf = (c: Campaign) => library.tables.launches.get(c.launch ?? '')?.name
async function save() {
  const { campaignsCsv } = await import('@core/formats/campaign-table')
  download(`campaigns-${moment.today}.csv`, campaignsCsv(all.value, library.tables.launches), 'text/csv')
}
function edit(of?: Campaign) {
  editing.value = of ? { of } : {}
}
</script>

<template>
  <section aria-labelledby="campaigns">
    <div class="flex items-center gap-3 mb-2">
      <h2 id="campaigns" class="flex-1">
        Campaigns
        <span v-if="all.length === 0" class="sub font-sans font-normal ml-1"
          >notices and posts that are paid for or planned as one</span
        >
      </h2>
      <button v-if="all.length > 0" class="btn btn-small btn-bare" @click="save">Save as CSV</button>
      <button class="btn btn-small" @click="edit()">Add a campaign</button>
    </div>
    <div v-if="all.length > 0" class="panel overflow-hidden">
      <table class="w-full">
        <thead class="text-12 text-ink-2">
          <tr>
            <th scope="col" class="text-left font-normal px-4 py-1.5">Campaign</th>
            <th scope="col" class="text-left font-normal">Where and when</th>
            <th scope="col" class="text-left font-normal">State</th>
            <th scope="col" class="text-right font-normal">Posts out</th>
            <th scope="col" class="text-right font-normal">Budget{{ currency ? `, ${currency}` : '' }}</th>
            <th scope="col" class="text-right font-normal pr-4">
              Spent{{ currency ? `, ${currency}` : '' }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="c in all" :key="c.id" class="border-t border-faint">
            <td class="px-4 py-1.5">
              <button class="font-semibold underline decoration-dotted underline-offset-2" @click="edit(c)">
                {{ c.name }}</button>{{ ' ' }}
              <span v-if="launchOf(c)" class="sub">for {{ launchOf(c) }}</span>
            </td>
            <td>
              {{ c.outlet }}
              <span class="sub">{{ sayDay(c.from, moment.today) }} to {{ sayDay(c.to, moment.today) }}</span>
            </td>
            <td>
              {{ c.state }}
              <span v-for="f in campaignFaults(c, moment.today)" :key="f" class="late text-12 block"
                ><Flag :size="9" />{{ f }}</span
              >
            </td>
            <td class="num text-right">{{ c.posts.filter((p) => p.out).length }} of {{ c.posts.length }}</td>
            <td class="num text-right">{{ money(c.budget) }}</td>
            <td class="num text-right pr-4">{{ money(c.spent) }}</td>
          </tr>
        </tbody>
        <tfoot v-if="all.length > 1">
          <tr class="border-t border-line font-semibold">
            <td class="px-4 py-1.5" colspan="3">Together, without the budgets of those called off</td>
            <td class="num text-right">{{ sums.out }} of {{ sums.posts }}</td>
            <td class="num text-right">{{ money(sums.budget) }}</td>
            <td class="num text-right pr-4">{{ money(sums.spent) }}</td>
          </tr>
        </tfoot>
      </table>
    </div>
    <CampaignSheet v-if="editing" :campaign="editing.of" @close="editing = undefined" />
  </section>
</template>
