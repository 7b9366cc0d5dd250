<script setup lang="ts">
import { ago, exactTime, now, until } from './time'

/** A moment in words, exact on focus; `ahead` for one that is to come. */
defineProps<{ at: string; ahead?: boolean }>()
</script>

<template>
  <time :datetime="at" tabindex="0" class="group relative"
    >{{ ahead ? until(at, now) : ago(at, now)
    }}<span
      class="pointer-events-none absolute top-full left-0 z-20 hidden bg-ink px-2 py-1 text-[12.5px] whitespace-nowrap text-paper group-hover:block group-focus:block"
      role="tooltip"
      >{{ exactTime(at) }}</span
    ></time
  >
</template>
