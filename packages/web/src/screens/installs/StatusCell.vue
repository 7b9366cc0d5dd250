<script setup lang="ts">
import { statuses } from '@pebblestrand/core/verify/words'
import type { RegisterRow } from '../../api/types'
import Pebble from '../../parts/Pebble.vue'
import { checkWords, useChecks } from '../../stores/checks'

defineProps<{ row: RegisterRow }>()
const checks = useChecks()
</script>

<template>
  <span class="flex items-baseline gap-[9px]">
    <Pebble :status="row.status" :seed="row.id" :size="16" class="relative top-[2px]" aria-hidden="true" />
    <span class="min-w-0 leading-[1.35]">
      {{ row.retiring && row.status !== 'retired' ? 'to be taken out' : statuses[row.status].name }}
      <span v-if="checks.running[row.id]" class="block text-[13px] text-tide"
        >{{ checkWords[checks.running[row.id]!] }} …</span
      >
      <span v-else-if="row.findingTitle" class="block text-[13px] text-coral">{{ row.findingTitle }}</span>
    </span>
  </span>
</template>
