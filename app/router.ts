import { createRouter, createWebHistory } from 'vue-router'

/** What a screen is called, in the top bar and in the browser's tab. */
declare module 'vue-router' {
  interface RouteMeta {
    title: string
    /** The strip is not shown here. */
    bare?: boolean
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/today' },
    {
      path: '/welcome',
      name: 'welcome',
      component: () => import('./screens/welcome/Welcome.vue'),
      meta: { title: 'Begin', bare: true },
    },
    {
      path: '/today',
      name: 'today',
      component: () => import('./screens/today/Today.vue'),
      meta: { title: 'Today' },
    },
    {
      path: '/ideas',
      name: 'ideas',
      component: () => import('./screens/ideas/Ideas.vue'),
      meta: { title: 'Ideas' },
    },
    {
      path: '/ideas/sort',
      name: 'sort',
      component: () => import('./screens/ideas/SortIdeas.vue'),
      meta: { title: 'Sort ideas' },
    },
    {
      path: '/ideas/months',
      name: 'months',
      component: () => import('./screens/ideas/Months.vue'),
      meta: { title: 'Months' },
    },
    {
      path: '/ideas/keywords',
      name: 'keywords',
      component: () => import('./screens/ideas/Keywords.vue'),
      meta: { title: 'Keywords' },
    },
    {
      path: '/ideas/balance',
      name: 'balance',
      component: () => import('./screens/ideas/Balance.vue'),
      meta: { title: 'Balance' },
    },
    {
      path: '/ideas/mailbox',
      name: 'mailbox',
      component: () => import('./screens/ideas/Mailbox.vue'),
      meta: { title: 'Mailbox' },
    },
    {
      path: '/ideas/idea/:code',
      name: 'idea',
      component: () => import('./screens/ideas/IdeaPage.vue'),
      meta: { title: 'Idea' },
      props: true,
    },
    {
      path: '/schedule',
      name: 'schedule',
      component: () => import('./screens/schedule/Schedule.vue'),
      meta: { title: 'Schedule' },
    },
    {
      path: '/schedule/countdown',
      name: 'countdown',
      component: () => import('./screens/schedule/Countdown.vue'),
      meta: { title: 'Countdown' },
    },
    {
      path: '/schedule/month',
      name: 'month',
      component: () => import('./screens/schedule/Month.vue'),
      meta: { title: 'Month' },
    },
    {
      path: '/week',
      name: 'week',
      component: () => import('./screens/week/Week.vue'),
      meta: { title: 'Week' },
    },
    {
      path: '/episode/:code/:stage?',
      name: 'episode',
      component: () => import('./screens/episode/Episode.vue'),
      meta: { title: 'Episode', bare: true },
      props: true,
    },
    {
      path: '/catalogue',
      name: 'catalogue',
      component: () => import('./screens/catalogue/Catalogue.vue'),
      meta: { title: 'Catalogue' },
    },
    {
      path: '/shows/:show?',
      name: 'shows',
      component: () => import('./screens/shows/Shows.vue'),
      meta: { title: 'Shows' },
      props: true,
    },
    {
      path: '/shows/:show/recipe/:recipe',
      name: 'recipe',
      component: () => import('./screens/shows/recipe/Recipe.vue'),
      meta: { title: 'Recipe' },
      props: true,
    },
    {
      path: '/settings',
      name: 'settings',
      component: () => import('./screens/settings/Settings.vue'),
      meta: { title: 'Settings' },
    },
    {
      path: '/:rest(.*)*',
      name: 'nowhere',
      component: () => import('./screens/shell/Nowhere.vue'),
      meta: { title: 'Not found' },
    },
  ],
  // eslint-disable-next-line @typescript-eslint/no-deprecated -- what is to follow it is still experimental
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
})
