<script setup lang="ts">
import { readingOf, type Item } from '@pebblestrand/core/items'
import type { Sieved } from '@pebblestrand/core/sieve'
import { computed, ref } from 'vue'

/** The counts from all items to the shown ones; a step opens to say what it took out. */
const props = defineProps<{ sieved: Sieved }>()
const open = ref<number | null>(null)

const HEIGHT = 44
const columns = computed(() => [
  { label: 'all', count: props.sieved.all, taken: null },
  ...props.sieved.steps.map((s) => ({ label: s.label, count: s.after, taken: s.taken })),
])
const bar = (count: number) => `${Math.max(2, (count / Math.max(1, props.sieved.all)) * HEIGHT)}px`
const opened = computed(() => (open.value === null ? null : columns.value[open.value]))
const MOST = 30
const titleOf = ({ body }: Item) => readingOf(body).title(body)
</script>

<template>
  <section aria-labelledby="sieve">
    <div class="flex items-baseline">
      <h2 id="sieve" class="label font-sans tracking-normal">Sieve</h2>
      <p class="ml-auto text-[13.5px] text-soft">open a step to see what it took out</p>
    </div>
    <ol class="mt-2 flex gap-[10px]">
      <li v-for="(column, index) in columns" :key="index" class="min-w-0 flex-1">
        <component
          :is="column.taken ? 'button' : 'div'"
          :type="column.taken ? 'button' : undefined"
          class="block w-full text-left"
          :class="{ 'cursor-pointer': column.taken }"
          :aria-expanded="column.taken ? open === index : undefined"
          @click="column.taken && (open = open === index ? null : index)"
        >
          <span class="flex items-end" :style="{ height: `${HEIGHT}px` }" aria-hidden="true"
            ><span
              class="block w-full"
              :class="index === columns.length - 1 ? 'bg-kelp' : 'bg-[#b8ad95]'"
              :style="{ height: bar(column.count) }"
          /></span>
          <span class="mt-1 block font-display text-[16px] leading-tight font-bold">{{ column.count }}</span>
          <span
            class="block truncate text-[13.5px]"
            :class="{ 'underline decoration-dotted underline-offset-3': column.taken?.length }"
            >{{ column.label }}</span
          >
        </component>
      </li>
    </ol>
    <div
      v-if="opened?.taken"
      class="mt-3 max-h-[190px] overflow-auto border-t border-rule pt-2 text-[14px]"
      tabindex="0"
      role="region"
      :aria-label="`Taken out by: ${opened.label}`"
    >
      <p v-if="!opened.taken.length" class="text-soft">This step took nothing out.</p>
      <ul>
        <li v-for="item in opened.taken.slice(0, MOST)" :key="item.id" class="py-[2px]">
          {{ titleOf(item) }} <span class="text-soft">{{ item.publishedAt?.slice(0, 10) }}</span>
        </li>
      </ul>
      <p v-if="opened.taken.length > MOST" class="text-soft">and {{ opened.taken.length - MOST }} more</p>
    </div>
  </section>
</template>
