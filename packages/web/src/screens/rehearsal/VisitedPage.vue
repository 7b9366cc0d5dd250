<script setup lang="ts">
import { begun, type KnownPage, type MadeUpPage } from './made-up'
import SmallNumber from './SmallNumber.vue'
import StepLine from './StepLine.vue'
import TakeOut from './TakeOut.vue'

/** A page of a made-up visit: which, how long, and what they do there. `visit` and `number`: from 1. */
defineProps<{ pages: readonly KnownPage[]; visit: number; number: number; single: boolean }>()
const page = defineModel<MadeUpPage>({ required: true })
defineEmits<{ out: [] }>()

/** Seconds. */
const LONGEST = 1800
const isPlain = (path: string) => !/[*:{]/.test(path)
const put = (part: Partial<MadeUpPage>) => (page.value = { ...page.value, ...part })
</script>

<template>
  <div class="mt-2 border-l-2 border-rule pl-3">
    <p class="flex items-center gap-2">
      <select
        class="field min-w-0 flex-1 font-mono text-[13px]"
        :aria-label="`Visit ${visit}, page ${number}`"
        :value="page.path"
        @change="put({ path: ($event.target as HTMLSelectElement).value })"
      >
        <option v-for="known in pages.filter(({ path }) => isPlain(path))" :key="known.path" :value="known.path">
          {{ known.path }}
        </option>
        <option v-if="!pages.some((known) => known.path === page.path)" :value="page.path">{{ page.path }}</option>
      </select>
      <SmallNumber
        :value="page.stays"
        :min="1"
        :most="LONGEST"
        :says="`Seconds on page ${number} of visit ${visit}`"
        @change="put({ stays: $event })"
      />
      s
      <TakeOut v-if="!single" :says="`Take page ${number} out of visit ${visit}`" @press="$emit('out')" />
    </p>
    <ul>
      <StepLine
        v-for="(step, i) in page.steps"
        :key="i"
        :name="`Step ${i + 1}`"
        :model-value="step"
        :stays="page.stays"
        @update:model-value="put({ steps: page.steps.with(i, $event) })"
        @out="put({ steps: page.steps.toSpliced(i, 1) })"
      />
    </ul>
    <button
      type="button"
      class="word mt-1 text-[13px]"
      @click="put({ steps: [...page.steps, begun('scroll', Math.min(page.stays, 10))] })"
    >
      Add a step
    </button>
  </div>
</template>
