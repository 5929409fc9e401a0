<script setup lang="ts">
import { computed } from 'vue'
import { statementRows, statementSums } from '@core/partners/statement'
import type { DealView } from '@core/partners/deal-view'
import { useMoment } from '@app/stores/moment'
import { usePartners } from '@app/stores/partners'
import { download } from '@app/ui/download'
import Drop from '@app/ui/Drop.vue'

/** What was delivered and paid, by month and year; as a table and as a page to print. */
const { view, currency } = defineProps<{ view: DealView; currency: string }>()
const moment = useMoment()
const partners = usePartners()
const rows = computed(() => statementRows(view, (r) => partners.numberOf(r.episode)))
const months = computed(() => statementSums(rows.value, 'month'))
const years = computed(() => statementSums(rows.value, 'year'))
const name = computed(
  () => `${view.deal.sponsor.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-')}-${moment.today}`,
)
async function save(how: 'csv' | 'page') {
  const { statementCsv, statementPage } = await import('@core/formats/statement')
  if (how === 'csv') download(`${name.value}.csv`, statementCsv(rows.value), 'text/csv')
  else download(`${name.value}.html`, statementPage(view, rows.value, currency, moment.today), 'text/html')
}
const money = (n: number) => (n === 0 ? '' : n.toLocaleString('en'))
</script>

<template>
  <Drop label="Statement" small wide>
    <div class="grid gap-3">
      <table class="w-full">
        <thead class="text-12 text-ink-2">
          <tr>
            <th scope="col" class="text-left font-normal">Month</th>
            <th scope="col" class="text-right font-normal">Reads</th>
            <th scope="col" class="text-right font-normal">Delivered</th>
            <th scope="col" class="text-right font-normal">Paid{{ currency ? `, ${currency}` : '' }}</th>
            <th scope="col" class="text-right font-normal">Open{{ currency ? `, ${currency}` : '' }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in months" :key="s.of">
            <td class="num">{{ s.of }}</td>
            <td class="num text-right">{{ s.reads }}</td>
            <td class="num text-right">{{ s.delivered }}</td>
            <td class="num text-right">{{ money(s.paid) }}</td>
            <td class="num text-right">{{ money(s.open) }}</td>
          </tr>
          <tr v-for="s in years" :key="s.of" class="font-semibold border-t border-line">
            <td class="num">{{ s.of }}</td>
            <td class="num text-right">{{ s.reads }}</td>
            <td class="num text-right">{{ s.delivered }}</td>
            <td class="num text-right">{{ money(s.paid) }}</td>
            <td class="num text-right">{{ money(s.open) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="flex gap-2">
        <button class="btn btn-small" @click="save('csv')">Save as CSV</button
        ><button class="btn btn-small" @click="save('page')">Save as a page to print</button>
      </p>
    </div>
  </Drop>
</template>
