import { labels, type Labels } from '@pebblestrand/core/words'
import { computed, type ComputedRef, type InjectionKey } from 'vue'

/** What a widget's labels say in the language it speaks on the stage. */
export const usualLabelsKey: InjectionKey<ComputedRef<Labels>> = Symbol('usual labels')

export const inEnglish = () => computed<Labels>(() => labels.en)
