import type { InjectionKey, Ref } from 'vue'

/** The day it is for the creator, which date fields count from. */
export const todayKey: InjectionKey<Ref<string>> = Symbol('today')
