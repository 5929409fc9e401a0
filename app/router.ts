import { createRouter, createWebHistory } from 'vue-router'
import { screens } from './screens/registry'

/** What a screen is called, in the top bar and in the browser's tab. */
declare module 'vue-router' {
  interface RouteMeta {
    title: string
    /** The strip is not shown here. */
    bare?: boolean
    /** Nothing else is shown beside it. */
    alone?: boolean
  }
}

/**
 * Whether the page is scrolled, from what the browser tells by itself: to ask it in the middle of a new screen makes it
 * lay out half of that.
 */
let isScrolled = false
addEventListener(
  'scroll',
  () => {
    isScrolled = scrollY > 0
  },
  { passive: true },
)

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/today' },
    { path: '/ideas/months', redirect: '/schedule/months' },
    ...screens.map(({ path, name, title, component, bare = false, alone = false, props = false }) => ({
      path,
      name,
      component,
      props,
      meta: { title, bare, alone },
    })),
  ],
  // eslint-disable-next-line @typescript-eslint/no-deprecated -- what is to follow it is still experimental
  scrollBehavior: (_to, _from, saved) => saved ?? (isScrolled ? { top: 0 } : false),
})
