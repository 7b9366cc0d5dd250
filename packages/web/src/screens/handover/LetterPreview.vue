<script setup lang="ts">
import { spokenLanguage } from '@pebblestrand/core/words'
import { computed } from 'vue'
import type { Wording } from '@pebblestrand/core/handover/words'
import { useWriter } from './writer'

/** A mail as it will go out, drawn while it is worded. */
const props = defineProps<{
  wording: Wording
  language: string
  given: Record<'name' | 'site' | 'link' | 'sender' | 'agency', string>
  list: string[]
}>()
const writer = useWriter()
const language = computed(() => spokenLanguage(props.language))
const letter = computed(() =>
  writer.value?.letter(props.wording, props.given, props.list, {
    lang: language.value.tag,
    direction: language.value.direction,
  }),
)
</script>

<template>
  <figure
    v-if="letter"
    class="border border-rule bg-sheet p-3 text-[14px]"
    :dir="language.direction"
    :lang="language.tag"
  >
    <figcaption class="border-b border-rule pb-2 font-bold">{{ letter.subject }}</figcaption>
    <p class="pt-2 leading-[1.5] break-words whitespace-pre-line">{{ letter.text }}</p>
  </figure>
</template>
