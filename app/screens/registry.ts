import {
  AudioWaveform,
  CalendarRange,
  Clapperboard,
  Columns3,
  Film,
  Lightbulb,
  Send,
  Sun,
  Video,
} from '@lucide/vue'
import type { Component } from 'vue'
import type { RouteRecordSingleView } from 'vue-router'

/** A screen that stands in the bar, in the order of the list. */
export interface Place {
  /** Its sign in the bar; a place without one stands elsewhere in it. */
  icon?: Component
  /** Other words by which people ask for it. */
  words: string
  /** It joins the bar when there is first something in it: an episode on a slot, one that is out, two to film together, more than one
   * outlet. */
  joins?: 'placed' | 'released' | 'together' | 'going'
}

/** A screen, named once: the router, the bars, Find or do and the sheet of shortcuts follow from it. */
export interface Screen {
  path: string
  name: string
  /** What it is called, in the bar and in the browser's tab. */
  title: string
  component: RouteRecordSingleView['component']
  /** The strip is not shown here. */
  bare?: true
  /** Nothing else is shown beside it, not even the bar. */
  alone?: true
  /** Parts of its address are its props. */
  props?: true
  place?: Place
}

export const screens: readonly Screen[] = [
  {
    path: '/welcome',
    name: 'welcome',
    title: 'Begin',
    component: () => import('./welcome/Welcome.vue'),
    bare: true,
  },
  {
    path: '/today',
    name: 'today',
    title: 'Today',
    component: () => import('./today/Today.vue'),
    place: { icon: Sun, words: 'now next what to do home' },
  },
  {
    path: '/ideas',
    name: 'ideas',
    title: 'Ideas',
    component: () => import('./ideas/Ideas.vue'),
    place: { icon: Lightbulb, words: 'backlog notes capture topics' },
  },
  {
    path: '/ideas/sort',
    name: 'sort',
    title: 'Sort ideas',
    component: () => import('./ideas/SortIdeas.vue'),
  },
  {
    path: '/ideas/keywords',
    name: 'keywords',
    title: 'Keywords',
    component: () => import('./ideas/Keywords.vue'),
  },
  {
    path: '/ideas/balance',
    name: 'balance',
    title: 'Balance',
    component: () => import('./ideas/Balance.vue'),
  },
  {
    path: '/ideas/mailbox',
    name: 'mailbox',
    title: 'Mailbox',
    component: () => import('./ideas/Mailbox.vue'),
  },
  {
    path: '/ideas/idea/:code',
    name: 'idea',
    title: 'Idea',
    component: () => import('./ideas/IdeaPage.vue'),
    props: true,
  },
  {
    path: '/schedule',
    name: 'schedule',
    title: 'Schedule',
    component: () => import('./schedule/Schedule.vue'),
    place: { icon: CalendarRange, words: 'slots calendar countdown month plan releases' },
  },
  {
    path: '/schedule/countdown',
    name: 'countdown',
    title: 'Countdown',
    component: () => import('./schedule/Countdown.vue'),
  },
  {
    path: '/schedule/month',
    name: 'month',
    title: 'Month',
    component: () => import('./schedule/Month.vue'),
  },
  {
    path: '/schedule/months',
    name: 'months',
    title: 'Ideas by month',
    component: () => import('./schedule/MonthIdeas.vue'),
  },
  {
    path: '/week',
    name: 'week',
    title: 'Week',
    component: () => import('./week/Week.vue'),
    place: { icon: Columns3, words: 'hours days blocks planning', joins: 'placed' },
  },
  {
    path: '/sessions',
    name: 'sessions',
    title: 'Sessions',
    component: () => import('./sessions/Sessions.vue'),
    place: { icon: Video, words: 'batch filming day recording together shots', joins: 'together' },
  },
  {
    path: '/sessions/:session',
    name: 'session',
    title: 'Session',
    component: () => import('./sessions/Session.vue'),
    props: true,
  },
  {
    path: '/episode/:code/:stage?',
    name: 'episode',
    title: 'Episode',
    component: () => import('./episode/Episode.vue'),
    bare: true,
    props: true,
  },
  {
    path: '/scripts',
    name: 'scripts',
    title: 'Scripts',
    component: () => import('./scripts/Scripts.vue'),
  },
  {
    path: '/read/:code',
    name: 'reader',
    title: 'Reader',
    component: () => import('./reader/Reader.vue'),
    bare: true,
    alone: true,
    props: true,
  },
  {
    path: '/release',
    name: 'release',
    title: 'Release',
    component: () => import('./release/Release.vue'),
    place: { icon: Send, words: 'outlets upload publish hand over', joins: 'going' },
  },
  {
    path: '/release/write',
    name: 'write',
    title: 'Write in one sitting',
    component: () => import('./release/WriteAll.vue'),
  },
  {
    path: '/catalogue',
    name: 'catalogue',
    title: 'Catalogue',
    component: () => import('./catalogue/Catalogue.vue'),
    place: { icon: Film, words: 'released archive back catalogue published', joins: 'released' },
  },
  {
    path: '/rhythm',
    name: 'rhythm',
    title: 'Rhythm',
    component: () => import('./rhythm/Rhythm.vue'),
    place: {
      icon: AudioWaveform,
      words: 'results figures views statistics promise kept lead time hours estimates bottleneck',
      joins: 'released',
    },
  },
  {
    path: '/shows/partners/:who?',
    name: 'partners',
    title: 'People and partners',
    component: () => import('./shows/partners/Partners.vue'),
    props: true,
  },
  {
    path: '/shows/:show?',
    name: 'shows',
    title: 'Shows',
    component: () => import('./shows/Shows.vue'),
    props: true,
    place: { icon: Clapperboard, words: 'series rhythm recipes outlets' },
  },
  {
    path: '/shows/:show/recipe/:recipe',
    name: 'recipe',
    title: 'Recipe',
    component: () => import('./shows/recipe/Recipe.vue'),
    props: true,
  },
  {
    path: '/settings',
    name: 'settings',
    title: 'Settings',
    component: () => import('./settings/Settings.vue'),
    place: { words: 'preferences options hours theme' },
  },
  {
    path: '/:rest(.*)*',
    name: 'nowhere',
    title: 'Not found',
    component: () => import('./shell/Nowhere.vue'),
  },
]

/** The screens that stand in the bar or behind the gear; the first nine have a number as their key. */
export const places = screens.flatMap((s) => (s.place ? [{ name: s.name, title: s.title, ...s.place }] : []))

/** As many of them as have a number. */
export const numbered = 9
