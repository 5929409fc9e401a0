<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useBoard } from './stores/board'
import { useDesk } from './stores/desk'
import { useLibrary } from './stores/library'
import { usePictures } from './stores/pictures'
import { typingIn, useKeys } from './ui/keys'
import { places } from './screens/registry'
import Guarded from './screens/shell/Guarded.vue'
import Opening from './screens/shell/Opening.vue'
import Strip from './screens/shell/Strip.vue'
import TopBar from './screens/shell/TopBar.vue'
import Trouble from './screens/shell/Trouble.vue'

const SetAside = defineAsyncComponent(() => import('./screens/shell/SetAside.vue'))
const Sayings = defineAsyncComponent(() => import('./screens/shell/Sayings.vue'))
const loadFinder = () => import('./screens/shell/Finder.vue')
const Finder = defineAsyncComponent(loadFinder)
const Shortcuts = defineAsyncComponent(() => import('./screens/shell/Shortcuts.vue'))
const PlaceIdea = defineAsyncComponent(() => import('./screens/schedule/PlaceIdea.vue'))
const PasteLines = defineAsyncComponent(() => import('./screens/ideas/PasteLines.vue'))
const ParkEpisode = defineAsyncComponent(() => import('./screens/schedule/ParkEpisode.vue'))
const ForecastPanel = defineAsyncComponent(() => import('./screens/week/ForecastPanel.vue'))
const KeepSlot = defineAsyncComponent(() => import('./screens/schedule/KeepSlot.vue'))
const MissedSlot = defineAsyncComponent(() => import('./screens/schedule/MissedSlot.vue'))
const FillSlot = defineAsyncComponent(() => import('./screens/schedule/FillSlot.vue'))

const library = useLibrary()
const board = useBoard()
const desk = useDesk()
const pictures = usePictures()
const route = useRoute()
const router = useRouter()

/** What works beside the screens, fetched once they stand. */
const parts = [
  () =>
    import('./stores/plan').then(({ usePlan }) => {
      usePlan().want()
    }),
  () =>
    import('./stores/ranking').then(({ useRanking }) => {
      useRanking().want()
    }),
  () =>
    import('./stores/reminders').then(({ useReminders }) => {
      useReminders().start()
    }),
  () =>
    import('./stores/mail').then(({ useMail }) => {
      useMail().start()
    }),
]
/**
 * Fetches a part; where nobody answers, again when the window is come back to, at the latest after ten
 * seconds.
 */
async function fetched(part: () => Promise<void>): Promise<void> {
  try {
    await part()
  } catch {
    await new Promise<void>((again) => {
      setTimeout(again, 10_000)
      window.addEventListener(
        'focus',
        () => {
          again()
        },
        { once: true },
      )
    })
    await fetched(part)
  }
}
/** Come back to, the page looks whether the store is still its own and what it has missed. */
function back() {
  if (document.visibilityState === 'visible' && library.state === 'open') void library.check()
}
onMounted(() => {
  window.addEventListener('focus', back)
  document.addEventListener('visibilitychange', back)
  void library.open()
  // The finder is fetched ahead, so that what is typed right behind its key is not lost.
  setTimeout(() => {
    void loadFinder()
  }, 1500)
  setTimeout(() => {
    for (const part of parts) void fetched(part)
  }, 1500)
})

const welcoming = computed(() => route.name === 'welcome')
watch([() => library.isNew, () => route.name, () => library.state], ([isNew, name]) => {
  if (isNew && name && name !== 'welcome') void router.replace('/welcome')
  if (!isNew && library.state === 'open' && name === 'welcome') void router.replace('/today')
})
watch(
  () => library.world,
  () => {
    pictures.forget()
  },
)

watch(
  () => library.settings.theme,
  (theme) => {
    const kept = library.state === 'open' && !library.isNew ? theme : undefined
    if (!kept) return
    try {
      localStorage.setItem('lamp-reel.theme', kept)
    } catch {
      /* the theme then lasts as long as the page */
    }
    applyTheme(kept)
  },
  { immediate: true },
)
watch(
  () => library.state,
  () => {
    if (library.state === 'open' && !library.isNew) applyTheme(library.settings.theme)
  },
)
/** The system's theme, as it changes. */
matchMedia('(prefers-color-scheme: light)').addEventListener('change', () => {
  if (library.settings.theme === 'system') applyTheme('system')
})
function applyTheme(theme: 'booth' | 'daylight' | 'system') {
  document.documentElement.dataset['theme'] =
    theme === 'system' ? (matchMedia('(prefers-color-scheme: light)').matches ? 'daylight' : 'booth') : theme
}

watch(
  () => route.fullPath,
  async (to, from) => {
    if (route.name !== 'episode') document.title = `${route.meta.title} · Lamp Reel`
    if (from === undefined || to.split(/[?#]/)[0] === from.split(/[?#]/)[0]) return
    await nextTick()
    setTimeout(() => {
      if (document.activeElement === document.body || document.activeElement?.closest('nav'))
        document.getElementById('screen')?.focus({ preventScroll: true })
    }, 60)
  },
  { immediate: true },
)

/** One late thing after another, the gravest first. */
function nextLate(): boolean {
  // There the key lets an idea go.
  if (route.name === 'sort') return false
  const ids = board.late.map((c) => c.episode.id)
  const at = ids.indexOf(desk.forecast ?? '')
  if (ids.length === 0) library.say('Nothing is late.')
  else desk.forecast = ids[(at + 1) % ids.length]
  return true
}
useKeys({
  i: () => {
    desk.toCapture++
  },
  '/': () => {
    desk.finder = true
  },
  '?': () => {
    desk.shortcuts = true
  },
  '0': () => {
    desk.toNow++
  },
  l: () => nextLate(),
  ...Object.fromEntries(
    places.map(({ name }, i) => [
      String(i + 1),
      () => {
        if (!library.isNew) void router.push({ name })
      },
    ]),
  ),
})
onMounted(() => {
  window.addEventListener('keydown', (event) => {
    if (
      !(event.ctrlKey || event.metaKey) ||
      event.altKey ||
      event.key.toLowerCase() !== 'z' ||
      typingIn(event.target) ||
      document.querySelector('[role="dialog"]')
    )
      return
    event.preventDefault()
    void library.turn(event.shiftKey ? 'redo' : 'undo')
  })
})
</script>

<template>
  <a
    href="#screen"
    class="unseen focus:not-unseen focus:fixed focus:left-3 focus:top-2 focus:z-50 focus:btn focus:btn-main"
    >Skip to the screen</a
  >
  <Opening v-if="library.state === 'opening'" />
  <template v-else>
    <Trouble v-if="library.trouble" />
    <template v-if="library.state === 'open'">
      <TopBar v-if="!welcoming && !library.isNew" />
      <SetAside v-if="library.aside.length > 0" />
      <Guarded what="The strip"><Strip v-if="!route.meta.bare && board.shows.length > 0" /></Guarded>
      <main id="screen" tabindex="-1" class="outline-none">
        <Guarded what="This screen"><RouterView /></Guarded>
      </main>
      <Sayings v-if="library.saying" />
      <Finder v-if="desk.finder" />
      <Shortcuts v-if="desk.shortcuts" />
      <PlaceIdea v-if="desk.placing" />
      <FillSlot v-if="desk.filling" />
      <MissedSlot v-if="desk.missed" />
      <KeepSlot v-if="desk.keeping" />
      <ForecastPanel v-if="desk.forecast" :key="desk.forecast" />
      <PasteLines v-if="desk.pasted !== undefined" />
      <ParkEpisode v-if="desk.parking" />
    </template>
  </template>
</template>
