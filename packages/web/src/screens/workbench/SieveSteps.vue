<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSlow } from '../../parts/slow'
import type { BenchSieve } from '../../rendering/bench-sieve'
import { useWorkbench } from '../../stores/workbench'
import SieveLines from './SieveLines.vue'

/** The counts from all items to the shown ones; a step opens to say what it took out, the last one what is shown. */
const props = defineProps<{ sieve: BenchSieve }>()
/** The step that is open, by its words: putting one first adds a step, and the others move along. */
const open = ref<string | null>(null)
const SHOWN = 'shown'

const bench = useWorkbench()
const slow = useSlow(() => bench.working)

const HEIGHT = 44
const columns = computed(() => {
  const steps = props.sieve.steps.map(({ label, after, taken, lines }) => ({ label, count: after, taken, lines }))
  return [{ label: 'all', count: props.sieve.all, taken: null, lines: [] }, ...steps]
})
const bar = (count: number) => `${Math.max(2, (count / Math.max(1, props.sieve.all)) * HEIGHT)}px`
const opened = computed(() => columns.value.find(({ label, taken }) => taken !== null && label === open.value) ?? null)
const toggle = (label: string) => (open.value = open.value === label ? null : label)
</script>

<template>
  <section aria-labelledby="sieve">
    <div class="flex items-baseline">
      <h2 id="sieve" class="label font-sans tracking-normal">Sieve</h2>
      <p class="ml-auto text-[13.5px] text-soft" role="status">
        {{ slow ? 'Sifting …' : 'open a step to see what it took out' }}
      </p>
    </div>
    <ol class="mt-2 flex gap-[10px]">
      <li v-for="(column, index) in columns" :key="index" class="min-w-0 flex-1">
        <component
          :is="column.taken !== null ? 'button' : 'div'"
          :type="column.taken !== null ? 'button' : undefined"
          class="block w-full text-left"
          :class="{ 'cursor-pointer': column.taken !== null }"
          :aria-expanded="column.taken !== null ? open === column.label : undefined"
          :title="column.label"
          @click="column.taken !== null && toggle(column.label)"
        >
          <span class="flex items-end" :style="{ height: `${HEIGHT}px` }" aria-hidden="true"
            ><span class="block w-full bg-[#b8ad95]" :style="{ height: bar(column.count) }"
          /></span>
          <span class="mt-1 block font-display text-[16px] leading-tight font-bold">{{
            column.count.toLocaleString()
          }}</span>
          <span
            class="block truncate text-[13.5px]"
            :class="{ 'underline decoration-dotted underline-offset-3': column.taken }"
            >{{ column.label }}</span
          >
        </component>
      </li>
      <li class="min-w-0 flex-1">
        <button
          type="button"
          class="block w-full cursor-pointer text-left"
          :aria-expanded="open === SHOWN"
          @click="toggle(SHOWN)"
        >
          <span class="flex items-end" :style="{ height: `${HEIGHT}px` }" aria-hidden="true"
            ><span class="block w-full bg-kelp" :style="{ height: bar(sieve.shown) }"
          /></span>
          <span class="mt-1 block font-display text-[16px] leading-tight font-bold">{{ sieve.shown }}</span>
          <span class="block truncate text-[13.5px] underline decoration-dotted underline-offset-3">shown</span>
        </button>
      </li>
    </ol>
    <SieveLines
      v-if="opened"
      :lines="opened.lines"
      :total="opened.taken ?? 0"
      :named="`Taken out by: ${opened.label}`"
      none="This step took nothing out."
    />
    <SieveLines
      v-else-if="open === SHOWN"
      :lines="sieve.lines"
      :total="sieve.shown"
      named="What is shown"
      none="Nothing is shown."
      arranging
    />
  </section>
</template>
