<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { CalendarArrowDown, MoreHorizontal } from '@lucide/vue'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { backToIdeas } from '@core/commands/ideas'
import {
  moveToSlot,
  placeOnSlot,
  pullEpisodes,
  pushEpisode,
  skipSlot,
  swapEpisodes,
  takeOff,
} from '@core/commands/schedule'
import { sixLamps } from '@core/recipe/lamps'
import { sayAway, sayDay } from '@core/rhythm/days'
import { sayUntil } from '@core/rhythm/zone'
import { useBoard } from '@app/stores/board'
import type { Card, SlotRow } from '@core/views/card'
import { useDesk } from '@app/stores/desk'
import { useDialogs } from '@app/stores/dialogs'
import { useLibrary } from '@app/stores/library'
import { usePictures } from '@app/stores/pictures'
import { download } from '@app/ui/download'
import { useMail } from '@app/stores/mail'
import Chalk from '@app/ui/Chalk.vue'
import Drop from '@app/ui/Drop.vue'
import Flag from '@app/ui/Flag.vue'
import Glyph from '@app/ui/Glyph.vue'
import LampMark from '@app/ui/LampMark.vue'
import { honours } from '@core/rhythm/reserve'
import { outOfWindow } from '@core/ideas/usable'
import { useCarrying } from './carrying'
import { sayInHand } from './in-hand'
import ScheduleTabs from './ScheduleTabs.vue'
import { keysOn } from '@app/ui/keymap'
import KeySign from '@app/ui/KeySign.vue'
import { slotsKeys } from './keymap'
import { vCarries, vTakes, type Carried, type Target } from '@app/ui/drag/carry'

const Launches = defineAsyncComponent(() => import('./Launches.vue'))
const ReadyAhead = defineAsyncComponent(() => import('./ReadyAhead.vue'))
const library = useLibrary()
const board = useBoard()
const desk = useDesk()
const dialogs = useDialogs()
const mail = useMail()
const pictures = usePictures()
const router = useRouter()
const only = ref('')
const narrow = ref('')
/**
 * Whose move it is on an episode: of whom it waits on, of who does its next step, else yours; nobody's once
 * it is ready.
 */
function moveOf(card: Card): { who: string; waits: boolean } | undefined {
  const next = card.standing.next
  if (card.standing.ready || !next) return undefined
  const waiting = card.standing.steps.find((s) => !s.done && s.step.waiting)?.step.waiting
  if (next.step.waiting) return { who: next.step.waiting.who, waits: true }
  return next.step.owner === 'me'
    ? waiting && !next.free
      ? { who: waiting.who, waits: true }
      : { who: 'me', waits: false }
    : { who: next.step.owner, waits: false }
}
const waitsOn = (card: Card) =>
  card.standing.steps.filter((s) => !s.done && s.step.waiting).map((s) => s.step.waiting?.who ?? '')
const people = computed(() => ({
  waited: [...new Set(board.working.flatMap(waitsOn))].sort(),
  movers: [...new Set(board.working.flatMap((c) => moveOf(c)?.who ?? []))].filter((w) => w !== 'me').sort(),
}))
function fits(row: SlotRow): boolean {
  if (narrow.value === '') return true
  if (!row.card) return narrow.value === 'open'
  if (narrow.value === 'ready') return row.card.standing.ready
  if (narrow.value === 'work') return !row.card.standing.ready
  if (narrow.value === 'late') return row.card.standing.late !== undefined
  if (narrow.value.startsWith('waits ')) return waitsOn(row.card).includes(narrow.value.slice(6))
  if (narrow.value.startsWith('move ')) return moveOf(row.card)?.who === narrow.value.slice(5)
  return false
}
/** A daily show has well over a hundred rows: what is in sight is drawn first, the rest a moment later. */
const drawn = ref(14)
onMounted(() => {
  const more = () => {
    drawn.value += 30
    if (drawn.value < board.rows.length) setTimeout(more, 30)
  }
  setTimeout(more, 60)
})
const rows = computed(() =>
  board.rows.filter((r) => (only.value === '' || r.show.id === only.value) && fits(r)),
)
const keptOn = (row: SlotRow) =>
  board.keptFor(
    row.show.id,
    row.slot?.original ?? (row.card?.episode.place.on === 'slot' ? row.card.episode.place.day : undefined),
  )
const breaks = (row: SlotRow) => {
  const k = keptOn(row)
  return k && row.card && !honours(k.reservation, row.card.episode, library.records.launches)
    ? k.reservation
    : undefined
}
const stale = (row: SlotRow) => (row.card ? outOfWindow(row.card.episode.nature, row.day) : undefined)
const shown = computed(() => board.shows.filter((s) => only.value === '' || s.id === only.value).slice(0, 3))
const nextId = computed(() => board.coming[0]?.episode.id)
const kinds = ['brief', 'script', 'film', 'edit', 'thumbnail', 'release'] as const

function stages(card: Card) {
  const lamps = sixLamps(card.standing)
  return kinds.map((kind, i) => ({
    kind,
    lamp: lamps[i],
    stage: card.standing.stages.find((s) => s.stage.kind === kind),
    joined: lamps[i]?.state === 'lit' && lamps[i + 1]?.state === 'lit',
  }))
}
/** Stages of the creator's own, which have no column. */
const ownStages = (card: Card) => card.standing.stages.filter((s) => s.stage.kind === 'own')
function open(card: Card, stage?: string) {
  void router.push({ name: 'episode', params: { code: card.episode.code, stage } })
}
const suggested = (row: SlotRow) => (row.slot ? (desk.suggestions.get(row.slot.key) ?? []) : [])
const behind = (row: SlotRow) =>
  board.coming.find(
    (c) =>
      c.show.id === row.show.id && c.episode.place.on === 'slot' && (c.standing.release?.at ?? 0) > row.at,
  )
const spare = (row: SlotRow) => board.spares.find((c) => c.show.id === row.show.id && c.standing.ready)
function sendSpare(row: SlotRow) {
  const [ready, on] = [spare(row), row.card?.episode.place]
  if (ready && on?.on === 'slot') void library.perform(moveToSlot, { episode: ready.episode.id, day: on.day })
}
const { over, end } = useCarrying()
/** A row as a place to carry an episode of a show to. */
function goalOf(row: SlotRow, show: string) {
  const original = row.slot
    ? row.slot.skipped
      ? undefined
      : row.slot.original
    : row.card?.episode.place.on === 'slot'
      ? row.card.episode.place.day
      : undefined
  return original === undefined || row.show.id !== show ? undefined : { original, day: row.day }
}
const carried = (row: SlotRow): Carried | undefined =>
  row.card && { kind: 'episode', id: row.card.episode.id, show: row.show.id, label: row.card.title }
const target = (row: SlotRow): Target => ({
  takes: (c) => c.kind === 'episode' && goalOf(row, c.show) !== undefined,
  over: (c) => {
    const card = c.kind === 'episode' ? board.card(c.id) : undefined
    if (card) over(card, goalOf(row, card.show.id))
  },
  left: end,
  drop: (c) => {
    const goal = c.kind === 'episode' ? goalOf(row, c.show) : undefined
    if (goal && c.kind === 'episode' && row.card?.episode.id !== c.id)
      void library.perform(moveToSlot, { episode: c.id, day: goal.original })
  },
})
/** By keys an episode goes to the slot before or after its own. */
async function shift(card: Card, by: 1 | -1) {
  const row = board.rows.filter((r) => goalOf(r, card.show.id))
  const to = row[row.findIndex((r) => r.card === card) + by]
  const goal = to && goalOf(to, card.show.id)
  if (!goal) return
  await library.perform(moveToSlot, { episode: card.episode.id, day: goal.original })
  await nextTick()
  document.querySelector<HTMLElement>(`[data-slot-card="${card.episode.id}"]`)?.focus()
}
const keyed = keysOn<'move', [Card]>(slotsKeys, {
  move: ({ which }, card) => {
    void shift(card, which === 0 ? -1 : 1)
  },
})
const number = (row: SlotRow) => (row.number === undefined ? '' : `${row.show.prefix}${row.number}`)
async function calendar() {
  download('lamp-reel.ics', await mail.calendarText(), 'text/calendar')
  library.say('Releases, due dates and work are in lamp-reel.ics. A later file updates the same entries.')
}
async function copyAddress() {
  await navigator.clipboard.writeText(mail.calendarAddress)
  library.say('Copied.')
}
</script>

<template>
  <div class="mx-auto max-w-[1360px] px-5 py-4 max-sm:px-3">
    <header class="flex flex-wrap items-center gap-x-5 gap-y-2 mb-3">
      <h1>Schedule</h1>
      <ScheduleTabs />
      <select v-if="board.shows.length > 1" v-model="only" class="field w-auto" aria-label="Which show">
        <option value="">Every show</option>
        <option v-for="s in board.shows" :key="s.id" :value="s.id">{{ s.title }}</option>
      </select>
      <select v-model="narrow" class="field w-auto" aria-label="Narrow it to">
        <option value="">Every slot</option>
        <option value="ready">Ready</option>
        <option value="work">Needs work</option>
        <option value="late">Late</option>
        <option value="open">Open</option>
        <option value="move me">My move</option>
        <option v-for="p in people.movers" :key="`m ${p}`" :value="`move ${p}`">{{ p }}’s move</option>
        <option v-for="p in people.waited" :key="`w ${p}`" :value="`waits ${p}`">Waits on {{ p }}</option>
      </select>
      <Drop label="Calendar" wide
        ><template #label><CalendarArrowDown :size="16" aria-hidden="true" /> Calendar</template>
        <div class="grid gap-3">
          <button class="btn justify-self-start" @click="calendar">Calendar file</button>
          <p class="sub">
            Releases with an alarm the day before, due dates, and the work laid on days. A second import
            updates.
          </p>
          <template v-if="mail.calendarAddress"
            ><p class="break-all"><strong>To subscribe to:</strong> {{ mail.calendarAddress }}</p>
            <p class="flex gap-2">
              <button class="btn btn-small" @click="copyAddress">Copy</button
              ><button class="btn btn-small" @click="mail.publish(true)">
                A new address, the old one ends</button
              ><button class="btn btn-small" @click="mail.unpublish()">Nobody may subscribe</button>
            </p></template
          ><button v-else class="btn justify-self-start" @click="mail.publish()">
            Give an address to subscribe to
          </button>
        </div></Drop
      >
    </header>
    <div class="grid gap-1.5 mb-3"><ReadyAhead v-for="s in shown" :key="s.id" :show="s" /></div>
    <div v-if="rows.length > 0" class="panel overflow-x-auto relative">
      <table class="w-full border-collapse slots">
        <caption class="unseen">
          Slots to come, with the lamps of their episodes
        </caption>
        <thead>
          <tr>
            <th scope="col" class="w-[112px]">Goes out</th>
            <th scope="col" class="w-[96px]"><span class="unseen">Picture</span></th>
            <th scope="col">Episode</th>
            <th
              v-for="s in ['Brief', 'Script', 'Film, Record', 'Edit', 'Thumbnail, Cover', 'Release']"
              :key="s"
              scope="col"
              class="w-[54px] text-center lampcol"
            >
              {{ s }}
            </th>
            <th scope="col" class="w-[196px] pl-4">Next step</th>
            <th scope="col" class="w-[116px]">On time?, in hand</th>
            <th scope="col" class="w-[44px]"><span class="unseen">More</span></th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in rows.slice(0, drawn)"
            :key="row.key"
            v-carries="carried(row)"
            v-takes="target(row)"
            :class="{ next: row.card?.episode.id === nextId, vacant: !row.card }"
          >
            <th scope="row" class="text-left align-middle font-normal">
              <span
                class="block font-semibold"
                :class="row.card?.episode.id === nextId ? 'text-lamp-text' : ''"
                >{{ sayDay(row.day, board.today) }}</span><span class="sub"
                >{{ row.time }} ·
                {{ row.at > board.now ? sayUntil(board.now, row.at, row.show.zone) : 'has passed' }}</span
              >
            </th>
            <template v-if="row.card">
              <td>
                <button
                  class="thumb"
                  :class="row.show.kind"
                  :aria-label="`Pictures of ${row.card.title}`"
                  @click="open(row.card, 'thumbnail')"
                >
                  <img
                    v-if="pictures.url(row.card.episode.chosenPicture ?? row.card.episode.pictures[0]?.id)"
                    :src="pictures.url(row.card.episode.chosenPicture ?? row.card.episode.pictures[0]?.id)"
                    alt=""
                  /><Chalk v-else :seed="row.card.episode.code" />
                </button>
              </td>
              <td>
                <RouterLink
                  :to="{ name: 'episode', params: { code: row.card.episode.code } }"
                  class="no-underline block"
                  :data-slot-card="row.card.episode.id"
                  @keydown="keyed($event, row.card)"
                  ><span class="block font-semibold leading-[18px] line-clamp-2">{{ row.card.title }}</span
                  ><span class="sub"
                    ><span class="num">{{ row.card.number }}</span> {{ row.show.title }}</span
                  ><span
                    v-if="ownStages(row.card).length > 0"
                    class="flex flex-wrap gap-x-2 text-11 text-ink-2"
                    ><span
                      v-for="s in ownStages(row.card)"
                      :key="s.stage.id"
                      class="inline-flex items-center gap-1"
                      ><LampMark :lamp="s.lamp" :size="12" :name="s.stage.name" />{{ s.stage.name }}</span
                    ></span
                  ><span v-if="breaks(row)" class="block text-11"
                    ><Flag :size="9" />kept for {{ breaks(row)?.name }}, not honoured yet</span
                  ><span v-else-if="keptOn(row)" class="block text-11 text-ink-2"
                    >for {{ keptOn(row)?.reservation.name }}</span
                  ><span v-if="stale(row)" class="block text-11"
                    ><Flag :size="9" /><span class="late">{{ stale(row) }}</span></span
                  ></RouterLink
                >
              </td>
              <td v-for="s in stages(row.card)" :key="s.kind" class="text-center lamp">
                <span v-if="s.joined" class="join" aria-hidden="true" />
                <button
                  v-if="s.lamp && s.stage"
                  class="relative block mx-auto w-[27px] h-[27px] rounded-full"
                  :aria-label="`${row.card.number} ${s.stage.stage.name}: ${s.lamp.state}${s.lamp.late ? `, late ${s.lamp.late} d` : ''}`"
                  @click="open(row.card, s.stage.stage.id)"
                >
                  <LampMark :lamp="s.lamp" :size="27" hidden />
                </button>
                <span v-if="s.lamp?.late" class="note late">late {{ s.lamp.late }} d</span>
                <span v-else-if="s.kind === 'release' && s.lamp && s.lamp.state === 'working'" class="note"
                  >{{ row.card.standing.parts.there }}/{{ row.card.standing.parts.needed }}</span
                >
                <span v-else-if="s.lamp?.state === 'waiting'" class="note text-sea">waits</span>
              </td>
              <td class="pl-4">
                <template v-if="row.card.standing.next"
                  ><span class="block font-medium leading-[18px]">{{ row.card.standing.next.step.name }}</span
                  ><span class="sub"
                    ><template v-if="row.card.standing.next.late"
                      ><Flag />was due {{ sayDay(row.card.standing.next.due ?? '') }}</template
                    ><template v-else-if="row.card.standing.next.due"
                      >due {{ sayDay(row.card.standing.next.due) }},
                      {{ sayAway(row.card.standing.next.due, board.today) }}</template
                    ></span
                  ></template
                ><span v-else-if="row.card.standing.ready" class="font-medium">ready</span
                ><span v-else class="sub">{{ row.card.standing.missing.length }} parts open</span>
              </td>
              <td>
                <button
                  v-if="desk.outlooks.get(row.card.episode.id)"
                  class="block text-left font-medium first-letter:uppercase rounded-control hover:underline"
                  :aria-label="`${row.card.number}: ${desk.outlooks.get(row.card.episode.id)?.is}. Open its forecast`"
                  @click="dialogs.show({ kind: 'forecast', episode: row.card.episode.id })"
                >
                  {{ desk.outlooks.get(row.card.episode.id)?.is }}</button><span
                  v-if="desk.outlooks.get(row.card.episode.id)?.is !== 'on track'"
                  class="block text-11 leading-[14px]"
                  >{{ board.reasonOf(desk.outlooks.get(row.card.episode.id)) }}</span
                ><span v-if="row.card.standing.ready" class="sub">ready now</span
                ><template v-else-if="board.inHandOf(row.card)"
                  ><span
                    class="block"
                    :class="desk.outlooks.get(row.card.episode.id) ? 'sub' : 'font-medium'"
                    >{{ sayInHand(board.inHandOf(row.card)?.days ?? 0) }}</span
                  ><span v-if="!desk.outlooks.get(row.card.episode.id)" class="sub whitespace-nowrap">{{
                    `ready ${sayDay(board.inHandOf(row.card)?.ready ?? '')}`
                  }}</span></template
                ><span v-else class="sub">more than the hours</span>
              </td>
            </template>
            <template v-else>
              <td>
                <span class="thumb open num" :class="row.show.kind">{{ number(row) }}</span>
              </td>
              <td>
                <span class="block font-semibold">{{
                  row.slot?.skipped
                    ? 'Skipped'
                    : keptOn(row)
                      ? `Kept for ${keptOn(row)?.reservation.name}`
                      : 'Open'
                }}</span><span class="sub"
                  >{{ row.show.title
                  }}<template v-if="keptOn(row)?.reservation.note"
                    >. {{ keptOn(row)?.reservation.note }}</template
                  ></span
                >
              </td>
              <td colspan="6">
                <span v-if="row.slot && !row.slot.skipped && suggested(row).length > 0" class="grid gap-0.5"
                  ><button
                    v-for="s in suggested(row)"
                    :key="s.episode.id"
                    class="suggest"
                    :aria-label="`Put “${s.episode.title}” on ${sayDay(row.day)}: ${s.reason}`"
                    @click="library.perform(placeOnSlot, { episode: s.episode.id, day: row.slot.original })"
                  >
                    <span class="sub whitespace-nowrap">{{ s.reason }}</span><span
                      class="truncate font-medium"
                      >{{ s.episode.title }}</span
                    >
                  </button></span
                ><span v-else class="sub">{{
                  row.slot?.skipped ? 'Nothing goes out on this date.' : 'Nothing is on it yet.'
                }}</span>
              </td>
              <td colspan="2" class="text-right">
                <span class="inline-flex gap-2"
                  ><button
                    v-if="row.slot?.skipped"
                    class="btn btn-small"
                    @click="
                      library.perform(skipSlot, { show: row.show.id, day: row.slot.original, skip: false })
                    "
                  >
                    Take the skip back</button
                  ><template v-else
                    ><button
                      v-if="behind(row)"
                      class="btn btn-small"
                      @click="
                        row.slot &&
                        library.perform(pullEpisodes, { show: row.show.id, day: row.slot.original })
                      "
                    >
                      Close the gap</button
                    ><button
                      class="btn btn-small"
                      @click="
                        row.slot &&
                        library.perform(skipSlot, { show: row.show.id, day: row.slot.original, skip: true })
                      "
                    >
                      Skip once</button
                    ><button
                      v-if="!keptOn(row)"
                      class="btn btn-small"
                      :aria-label="`Keep ${sayDay(row.day)} for somebody or something`"
                      @click="row.slot && dialogs.show({ kind: 'keep', slot: row.slot })"
                    >
                      Keep…</button
                    ><button
                      class="btn btn-small"
                      @click="row.slot && dialogs.show({ kind: 'fill', slot: row.slot })"
                    >
                      Choose
                    </button></template
                  ></span
                >
              </td>
            </template>
            <td class="relative">
              <Menu v-if="row.card" as="div" class="relative">
                <MenuButton class="btn btn-bare btn-small px-1.5" :aria-label="`More for ${row.card.title}`"
                  ><MoreHorizontal :size="16"
                /></MenuButton>
                <MenuItems class="panel absolute right-0 top-8 z-20 w-[210px] border-line bg-raised p-1 grid">
                  <MenuItem v-slot="{ active }"
                    ><button
                      class="item"
                      :class="{ active }"
                      @click="dialogs.show({ kind: 'place', episode: row.card.episode.id })"
                    >
                      Put on another slot
                    </button></MenuItem
                  >
                  <template v-if="row.card.episode.place.on === 'slot'"
                    ><MenuItem v-slot="{ active }"
                      ><button
                        class="item"
                        :class="{ active }"
                        @click="library.perform(pushEpisode, { episode: row.card.episode.id })"
                      >
                        Push one slot later
                      </button></MenuItem
                    >
                    <MenuItem v-if="behind(row)" v-slot="{ active }"
                      ><button
                        class="item"
                        :class="{ active }"
                        @click="
                          library.perform(swapEpisodes, {
                            episode: row.card.episode.id,
                            other: behind(row)!.episode.id,
                          })
                        "
                      >
                        Swap with {{ behind(row)?.number }}
                      </button></MenuItem
                    >
                    <MenuItem v-if="spare(row)" v-slot="{ active }"
                      ><button class="item" :class="{ active }" @click="sendSpare(row)">
                        Send a spare, push this
                      </button></MenuItem
                    ></template
                  >
                  <MenuItem v-slot="{ active }"
                    ><button
                      class="item"
                      :class="{ active }"
                      @click="library.perform(takeOff, { episode: row.card.episode.id })"
                    >
                      Take off the schedule
                    </button></MenuItem
                  >
                  <MenuItem v-slot="{ active }"
                    ><button
                      class="item"
                      :class="{ active }"
                      @click="dialogs.show({ kind: 'park', episode: row.card.episode.id })"
                    >
                      Park it…
                    </button></MenuItem
                  >
                  <MenuItem v-slot="{ active }"
                    ><button
                      class="item"
                      :class="{ active }"
                      @click="library.perform(backToIdeas, { episode: row.card.episode.id })"
                    >
                      Back to Ideas
                    </button></MenuItem
                  >
                </MenuItems>
              </Menu>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="rows.length === 0" class="panel p-6 mt-3">
      No slot is like that.
      <button class="underline underline-offset-2" @click="narrow = ''">Show every slot</button>
    </p>
    <p v-if="rows.length > 0" class="sub mt-2">
      Drag a row onto another slot of its show, or press <KeySign :line="slotsKeys.lines.move" /> on its
      title.
    </p>
    <Launches class="mt-6" />
    <section v-if="board.unplaced.length > 0" class="mt-6">
      <h2 class="mb-2">Started, no slot yet</h2>
      <ul class="panel divide-y divide-faint">
        <li v-for="c in board.unplaced" :key="c.episode.id" class="flex items-center gap-4 px-4 py-2">
          <Glyph :size="24" :lamps="sixLamps(c.standing)" :name="c.title" /><RouterLink
            :to="{ name: 'episode', params: { code: c.episode.code } }"
            class="flex-1 no-underline"
            ><strong class="font-semibold">{{ c.title }}</strong>
            <span class="sub">{{ c.show.title }}</span></RouterLink
          ><button
            class="btn btn-bare btn-small"
            :aria-label="`Park ${c.title}`"
            @click="dialogs.show({ kind: 'park', episode: c.episode.id })"
          >
            Park…</button
          ><button class="btn btn-small" @click="dialogs.show({ kind: 'place', episode: c.episode.id })">
            Put on a slot
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.slots th[scope='col'] {
  padding: 10px 6px 6px;
  font: 400 11px/13px var(--font-sans);
  color: var(--ink-2);
  text-align: left;
  vertical-align: bottom;
  border-bottom: 1px solid var(--line);
}
.slots th.lampcol {
  text-align: center;
}
.slots td,
.slots th[scope='row'] {
  padding: 8px 6px;
  height: 62px;
  border-bottom: 1px solid var(--faint);
  vertical-align: middle;
}
.slots th:first-child {
  padding-left: 14px !important;
}
.slots tr.next th[scope='row'] {
  box-shadow: inset 3px 0 var(--lamp-line);
}
.slots tr[data-goal] {
  background: var(--raised);
}
.slots tr.vacant {
  outline: 1px dashed var(--ring);
  outline-offset: -5px;
  border-radius: 8px;
}
.slots tr.vacant th {
  padding-left: 16px;
}
.slots tbody tr:last-child td,
.slots tbody tr:last-child th {
  border-bottom: 0;
}
.lamp {
  position: relative;
}
.join {
  position: absolute;
  left: 50%;
  top: 50%;
  width: 100%;
  height: 2px;
  margin-top: -1px;
  background: var(--lamp-line);
}
.note {
  position: absolute;
  inset: auto 0 5px;
  font-size: 11px;
  line-height: 12px;
  color: var(--ink-2);
  white-space: nowrap;
}
.note.late {
  color: var(--rose);
}
.note.text-sea {
  color: var(--sea);
}
.thumb {
  display: block;
  width: 80px;
  height: 45px;
  overflow: hidden;
  border-radius: 4px;
}
.thumb.audio {
  width: 45px;
  margin-inline: auto;
}
.thumb img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
.thumb.open {
  display: grid;
  place-items: center;
  border: 1px dashed var(--ring);
  font-size: 11px;
}
.suggest {
  display: flex;
  gap: 10px;
  align-items: baseline;
  max-width: 330px;
  padding: 1px 8px;
  margin-left: -8px;
  text-align: left;
  border-radius: 6px;
}
.suggest:hover {
  background: var(--raised);
}
.item {
  padding: 6px 10px;
  text-align: left;
  border-radius: 6px;
}
.item.active {
  background: var(--panel);
}
</style>
