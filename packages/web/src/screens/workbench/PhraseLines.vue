<script setup lang="ts">
import { ref } from 'vue'
import { plural } from '../../parts/address'
import OrderButtons from '../../parts/OrderButtons.vue'
import type { BenchPhrase } from '../../rendering/bench-rendering'
import { useWorkbench } from '../../stores/workbench'

/** What many say, each with how many and two of them; ordered and left out by hand, they are chosen from then on. */
const props = defineProps<{ phrases: BenchPhrase[] }>()
const bench = useWorkbench()
const open = ref(false)
const choose = (phrases: BenchPhrase[]) => bench.setAll({ phrases: 'own', phrasesOwn: phrases.map(({ text }) => text) })

function move(from: number, by: 1 | -1): void {
  const next = [...props.phrases]
  const [moved] = next.splice(from, 1)
  next.splice(from + by, 0, moved!)
  choose(next)
}
</script>

<template>
  <section class="mt-4 border-t border-rule pt-2" aria-labelledby="phrases">
    <div class="flex items-baseline gap-4 text-[14px]">
      <h2 id="phrases" class="label shrink-0 font-sans tracking-normal">What many say</h2>
      <p class="min-w-0 flex-1 truncate">
        <template v-if="phrases.length">{{ phrases.map(({ text, count }) => `${text} ${count}`).join(', ') }}</template>
        <span v-else class="text-soft">No phrase is shared by enough of them.</span>
      </p>
      <button v-if="phrases.length" type="button" class="word shrink-0" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Close' : 'Who says it' }}
      </button>
    </div>
    <ol v-if="open" class="mt-1 max-h-[200px] overflow-auto text-[14px]" tabindex="0" aria-label="What many say">
      <li v-for="(phrase, at) in phrases" :key="phrase.text" class="flex items-baseline gap-2 py-[3px]">
        <p class="min-w-0 flex-1">
          <b>{{ phrase.text }}</b> <span class="text-soft">in {{ plural(phrase.count, 'review') }}:</span>
          <span v-for="example in phrase.examples" :key="example" class="block truncate text-soft"
            >“{{ example }}”</span
          >
        </p>
        <template v-if="bench.lookingAt === null">
          <OrderButtons
            :at="at"
            :count="phrases.length"
            :labels="{
              up: `Earlier: ${phrase.text}`,
              down: `Later: ${phrase.text}`,
              out: `Leave out ${phrase.text}`,
            }"
            @move="move(at, $event)"
            @out="choose(phrases.filter((other) => other !== phrase))"
          />
        </template>
      </li>
    </ol>
  </section>
</template>
