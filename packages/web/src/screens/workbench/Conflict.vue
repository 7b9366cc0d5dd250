<script setup lang="ts">
import { difference } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { useWorkbench } from '../../stores/workbench'

/** Two tabs, one draft: what differs, and the choice. Nothing is overwritten before. */
const bench = useWorkbench()
const theirs = computed(() => bench.saving.theirs)
const changes = computed(() =>
  bench.kind && theirs.value
    ? difference(bench.kind, theirs.value.settings, bench.settings, { sourceNames: bench.sourceNames })
    : [],
)
</script>

<template>
  <div v-if="theirs" class="my-3 border-l-4 border-coral py-1 pl-4" role="alert">
    <p>
      <b>This draft was changed in another tab or by someone else</b>, <TimeAgo :at="theirs.savedAt" />. Yours is not
      saved.
    </p>
    <ul class="my-1 text-[14px]">
      <li v-for="change in changes" :key="change.key">
        {{ change.label }}: theirs {{ change.before }}, yours {{ change.after }}
      </li>
    </ul>
    <p class="flex flex-wrap gap-x-5">
      <button type="button" class="word" @click="bench.takeTheirs()">Take the newer draft</button>
      <button type="button" class="word" @click="bench.saving.overwrite()">Keep mine over it</button>
    </p>
  </div>
</template>
