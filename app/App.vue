<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, onMounted, provide, watch } from 'vue'
import { useEventListener } from '@vueuse/core'
import { useRoute, useRouter } from 'vue-router'
import { useMoment } from './stores/moment'
import { useDesk } from './stores/desk'
import { useDialogs } from './stores/dialogs'
import { useLibrary } from './stores/library'
import { usePictures } from './stores/pictures'
import CarriedSays from './ui/drag/CarriedSays.vue'
import { todayKey } from './ui/fields/today'
import { useKeymap } from './ui/keymap'
import { places } from './screens/registry'
import { useBeside } from './screens/shell/beside'
import DialogHost from './screens/shell/DialogHost.vue'
import Guarded from './screens/shell/Guarded.vue'
import { shellKeys } from './screens/shell/keymap'
import { useNextLate } from './screens/shell/late'
import Opening from './screens/shell/Opening.vue'
import Strip from './screens/shell/Strip.vue'
import { useTheme } from './screens/shell/theme'
import TopBar from './screens/shell/TopBar.vue'
import Trouble from './screens/shell/Trouble.vue'

const SetAside = defineAsyncComponent(() => import('./screens/shell/SetAside.vue'))
const Sayings = defineAsyncComponent(() => import('./screens/shell/Sayings.vue'))

const library = useLibrary()
const moment = useMoment()
const desk = useDesk()
const dialogs = useDialogs()
const pictures = usePictures()
const route = useRoute()
const router = useRouter()
provide(
  todayKey,
  computed(() => moment.today),
)
useTheme()
useBeside()

/** Come back to, the page looks whether the store is still its own and what it has missed. */
function back() {
  if (document.visibilityState === 'visible' && library.state === 'open') void library.check()
}
useEventListener(window, 'focus', back)
useEventListener(document, 'visibilitychange', back)
onMounted(() => {
  void library.open()
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
  () => route.fullPath,
  async (to, from) => {
    if (route.name !== 'episode' && route.name !== 'reader')
      document.title = `${route.meta.title} · Lamp Reel`
    if (from === undefined || to.split(/[?#]/)[0] === from.split(/[?#]/)[0]) return
    const pressed = document.activeElement
    await nextTick()
    setTimeout(() => {
      const now = document.activeElement
      // Whoever has pressed something else meanwhile keeps the focus there.
      if (now === document.body || (now === pressed && now?.closest('nav')))
        document.getElementById('screen')?.focus({ preventScroll: true })
    }, 60)
  },
  { immediate: true },
)

useKeymap(shellKeys, {
  jot: () => {
    desk.toCapture++
  },
  find: () => {
    dialogs.show({ kind: 'find' })
  },
  go: ({ which }) => {
    const place = places[which]
    if (place && !library.isNew) void router.push({ name: place.name })
  },
  now: () => {
    desk.toNow++
  },
  late: useNextLate(),
  undo: () => library.step('undo'),
  redo: () => library.step('redo'),
  shortcuts: () => {
    dialogs.show({ kind: 'shortcuts' })
  },
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
      <TopBar v-if="!welcoming && !library.isNew && !route.meta.alone" />
      <SetAside v-if="library.aside.length > 0" />
      <Guarded what="The strip"><Strip v-if="!route.meta.bare && moment.shows.length > 0" /></Guarded>
      <main id="screen" :data-at="route.path" tabindex="-1" class="outline-none">
        <Guarded what="This screen"><RouterView v-if="welcoming || !library.isNew" /></Guarded>
      </main>
      <Sayings v-if="library.saying" />
      <CarriedSays />
      <DialogHost />
    </template>
  </template>
</template>
