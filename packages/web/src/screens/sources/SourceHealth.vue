<script setup lang="ts">
import type { SourceDetail } from '../../api/types'
import TimeAgo from '../../parts/TimeAgo.vue'
import { healthOf, rhythm } from './health'

/** How a source is: when it was read well, when it is next, and what is wrong in plain words. */
defineProps<{ source: SourceDetail }>()
</script>

<template>
  <div class="text-[14px]">
    <p v-if="source.problem" :class="source.paused ? 'text-soft' : 'text-coral'">
      {{ source.problem.message }} {{ source.problem.remedy }}
    </p>
    <p v-for="note in source.notes" :key="note" class="text-ochre">{{ note }}</p>
    <p class="text-soft">
      <template v-if="source.okAt"
        >{{ source.problem ? 'the copy that stays up is from' : source.keptHere ? 'changed' : 'read' }}
        <TimeAgo :at="source.okAt" /><template v-if="!source.keptHere">, </template> </template
      >{{ source.keptHere ? '' : rhythm(source)
      }}<template v-if="!source.keptHere && !source.paused && healthOf(source) !== 'reconnect'"
        >, next <TimeAgo :at="source.nextFetchAt" ahead /></template
      ><template v-if="source.account">, by the account of {{ source.account }}</template>
    </p>
  </div>
</template>
