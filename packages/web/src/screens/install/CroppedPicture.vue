<script setup lang="ts">
import type { cropAround } from './crop'

/** A piece of a page's picture, with what matters in it outlined. */
defineProps<{
  src: string
  alt: string
  /** Px of the window the page was in. */
  width: number
  crop: ReturnType<typeof cropAround>
  /** Classes of the outlines. */
  outline: string
}>()
</script>

<template>
  <span
    class="relative block overflow-hidden border border-rule bg-sheet"
    :style="{ aspectRatio: `${width} / ${crop.height}` }"
  >
    <img :src="src" :alt="alt" class="absolute left-0 w-full" :style="{ top: crop.top }" loading="lazy" />
    <span
      v-for="(box, at) in crop.boxes"
      :key="at"
      class="absolute outline-2"
      :class="outline"
      :style="box"
      aria-hidden="true"
    />
  </span>
</template>
