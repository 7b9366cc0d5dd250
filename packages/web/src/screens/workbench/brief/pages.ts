import type { ComputedRef, InjectionKey } from 'vue'

/** Pages of the site that a widget is looked at on. */
export const pagesKey: InjectionKey<ComputedRef<readonly { title: string; path: string }[]>> = Symbol('pages')
