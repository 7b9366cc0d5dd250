<script setup lang="ts">
import TypedField from '../../parts/TypedField.vue'
import { begun, stepWords, type MadeUpStep } from './made-up'
import SmallNumber from './SmallNumber.vue'
import TakeOut from './TakeOut.vue'

/** Something a made-up visitor does on a page; `name` tells it from the others. */
defineProps<{ name: string; stays: number }>()
const step = defineModel<MadeUpStep>({ required: true })
defineEmits<{ out: [] }>()

const chosen = (event: Event) => (event.target as HTMLSelectElement).value as MadeUpStep['does']
</script>

<template>
  <li class="mt-1 text-[13px]">
    <p class="flex items-center gap-1">
      <SmallNumber
        :value="step.at"
        :most="stays"
        :says="`${name}: at which second`"
        @change="step = { ...step, at: $event }"
      />
      s
      <select
        class="field min-w-0 flex-1"
        :aria-label="`${name}: what they do`"
        :value="step.does"
        @change="step = begun(chosen($event), step.at)"
      >
        <option v-for="(words, kind) in stepWords" :key="kind" :value="kind">{{ words }}</option>
      </select>
      <TakeOut :says="`Take ${name.toLowerCase()} out`" @press="$emit('out')" />
    </p>
    <p v-if="step.does === 'scroll'" class="flex items-center gap-1">
      to
      <SmallNumber
        :value="step.share"
        :most="100"
        :says="`${name}: share of the page`"
        @change="step = { ...step, does: 'scroll', share: $event }"
      />
      % of the page
    </p>
    <TypedField
      v-if="step.does === 'click' || step.does === 'reach'"
      class="field mt-1 w-full font-mono"
      :aria-label="`${name}: CSS selector`"
      :value="step.selector"
      @change="
        (text: string) =>
          text && (step.does === 'click' || step.does === 'reach') && (step = { ...step, selector: text })
      "
    />
  </li>
</template>
