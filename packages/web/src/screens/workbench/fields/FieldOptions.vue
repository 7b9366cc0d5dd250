<script setup lang="ts">
import { freeName, type Option } from '@pebblestrand/core/forms'
import OrderButtons from '../../../parts/OrderButtons.vue'

/** What can be chosen, in an order: the words, and what is kept of each. */
const props = defineProps<{ options: Option[]; fault?: string }>()
const emit = defineEmits<{ set: [options: Option[]] }>()

/** What is kept follows the words, until it is known elsewhere. */
function reword(at: number, words: string): void {
  const { value, words: before } = props.options[at]!
  const others = props.options.filter((_, other) => other !== at).map((one) => one.value)
  const follows = value === freeName(before, others) || /^option(-\d+)?$/.test(value)
  emit('set', props.options.with(at, { words, value: follows ? freeName(words, others) : value }))
}
const add = () =>
  emit('set', [
    ...props.options,
    {
      words: `Option ${props.options.length + 1}`,
      value: freeName(
        'option',
        props.options.map(({ value }) => value),
      ),
    },
  ])
function move(at: number, by: -1 | 1): void {
  emit('set', props.options.toSpliced(at, 1).toSpliced(at + by, 0, props.options[at]!))
}
</script>

<template>
  <fieldset class="mb-4">
    <legend class="label">What can be chosen</legend>
    <ol>
      <li v-for="(option, at) in options" :key="at" class="flex items-center gap-2 py-[2px]">
        <input
          class="field min-w-0 flex-1"
          :value="option.words"
          :aria-label="`Option ${at + 1}`"
          @input="reword(at, ($event.target as HTMLInputElement).value)"
        />
        <code
          class="w-[110px] shrink-0 truncate font-mono text-[12.5px] text-soft"
          :title="`kept as ${option.value}`"
          >{{ option.value }}</code
        >
        <OrderButtons
          :at="at"
          :count="options.length"
          :labels="{
            up: `Move option ${at + 1} up`,
            down: `Move option ${at + 1} down`,
            out: `Take option ${at + 1} out`,
          }"
          @move="move(at, $event)"
          @out="emit('set', options.toSpliced(at, 1))"
        />
      </li>
    </ol>
    <button type="button" class="word mt-1" @click="add">Add an option</button>
    <p v-if="fault" class="mt-1 text-[13.5px] text-coral">It {{ fault }}.</p>
  </fieldset>
</template>
