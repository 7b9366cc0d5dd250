<script setup lang="ts">
import { lookKinds, type LookId } from '@pebblestrand/core/verify/words'
import type { InstallDetail } from '../../api/types'

type Facts = NonNullable<NonNullable<InstallDetail['check']>['facts']>
defineProps<{ steps: NonNullable<Facts['reasoning']> }>()

/** What a step is about, in words. */
const words = (about: string) =>
  about === 'for'
    ? 'Looked for'
    : about === 'decided'
      ? 'Decided'
      : `The page ${lookKinds[about as LookId]?.name ?? about}`
</script>

<template>
  <details class="mt-3 text-[13.5px]">
    <summary class="cursor-pointer text-soft">How it was judged</summary>
    <ol class="mt-2 space-y-2 border-l-2 border-rule pl-3">
      <li v-for="(step, at) in steps" :key="at">
        <p class="text-soft">{{ words(step.about) }}</p>
        <p v-for="(line, n) in step.says" :key="n" class="break-words">{{ line }}</p>
      </li>
    </ol>
  </details>
</template>
