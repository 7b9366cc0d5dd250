<script setup lang="ts">
import type { BenchSieve } from '../../rendering/bench-sieve'
import { useWorkbench } from '../../stores/workbench'

/** Where the sieve leaves too little: which single rule to loosen, and what would come back. */
defineProps<{ sieve: BenchSieve }>()
const bench = useWorkbench()
const MOST = 3
</script>

<template>
  <ul v-if="sieve.loosenings.length" class="mb-2 text-[14px]">
    <li v-for="{ label, more, change } in sieve.loosenings.slice(0, MOST)" :key="label">
      Without <i>{{ label }}</i>: {{ more }} more.
      <button
        v-if="change && bench.lookingAt === null"
        type="button"
        class="word"
        :aria-label="`Do without ${label}`"
        @click="bench.setAll(change)"
      >
        Do without
      </button>
    </li>
  </ul>
  <p v-else-if="!sieve.shown && sieve.all" class="mb-2 text-[14px]">No single rule alone takes them all out.</p>
</template>
