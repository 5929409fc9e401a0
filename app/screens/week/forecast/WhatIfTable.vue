<script setup lang="ts">
import type { Outlook } from '@core/plan/outlook'
import { useChance } from './chance'
import OutlookShift from './OutlookShift.vue'
import type { Choice, Remedies } from './useRemedies'

/** Each way out, with this release and the others before and after. */
const { remedies, outlook } = defineProps<{ remedies: Remedies; outlook: Outlook }>()
const emit = defineEmits<{ take: [choice: Choice] }>()
const chance = useChance()
</script>

<template>
  <table class="w-full text-12" aria-label="What if, with before and after">
    <thead>
      <tr class="text-left text-ink-2">
        <th scope="col" class="font-normal py-1">What</th>
        <th scope="col" class="font-normal w-[230px]">This release</th>
        <th scope="col" class="font-normal w-[92px]">Others</th>
        <th scope="col" class="w-[70px]"><span class="unseen">Do it</span></th>
      </tr>
    </thead>
    <tbody>
      <template v-for="c in remedies.offered.value" :key="c.name"
        ><tr class="border-t border-faint">
          <th scope="row" class="text-left font-normal py-1">
            <button
              class="text-left hover:underline underline-offset-2"
              :aria-expanded="remedies.opened.value === c.name"
              @click="remedies.unfold(c.name)"
            >
              {{ c.name }}
            </button>
          </th>
          <td>
            <template v-if="remedies.own(c.name)"
              ><OutlookShift
                v-if="remedies.own(c.name)?.next"
                :before="outlook"
                :after="remedies.own(c.name)?.next ?? outlook"
              /><template v-else>off the schedule</template></template
            ><span v-else class="text-ink-2">…</span>
          </td>
          <td class="text-ink-2">
            {{
              remedies.own(c.name)
                ? remedies.own(c.name)?.others === 0
                  ? 'as they are'
                  : `${remedies.own(c.name)?.others} change`
                : ''
            }}
          </td>
          <td class="text-right">
            <button class="btn btn-small my-0.5" :aria-label="`Do it: ${c.name}`" @click="emit('take', c)">
              Do it
            </button>
          </td>
        </tr>
        <tr v-if="remedies.opened.value === c.name && remedies.tried.value">
          <td colspan="4" class="pb-2 pl-3">
            <table class="w-full">
              <caption class="unseen">
                Before and after
              </caption>
              <tbody>
                <tr v-for="m in remedies.moved.value" :key="m.card.episode.id">
                  <td class="py-0.5">
                    <span class="num">{{ m.card.number }}</span> {{ m.card.title }}
                  </td>
                  <td class="w-[110px]">
                    {{ m.before.is }} <span class="num">{{ chance.say(m.before) }}</span>
                  </td>
                  <td class="w-[130px]">
                    <template v-if="m.after"
                      >{{ m.after.is }} <span class="num">{{ chance.say(m.after) }}</span></template
                    ><template v-else>off the schedule</template>
                  </td>
                </tr>
              </tbody>
            </table>
            <p v-if="remedies.moved.value.length === 0" class="sub">No release changes by it.</p>
          </td>
        </tr></template
      >
    </tbody>
  </table>
</template>
