<script setup lang="ts">
import { computed } from 'vue'

/** A ruler in px of the drawn page; `scale` is how large it is drawn. */
const props = defineProps<{ width: number; scale: number }>()
/** Px that the longest number takes: past the ruler's end it would widen the page. */
const LABEL = 36
const every = computed(() => (props.scale < 0.45 ? 200 : 100))
const marks = computed(() =>
  Array.from({ length: Math.floor(props.width / 20) + 1 }, (_, i) => i * 20).filter(
    (px) => props.scale > 0.45 || px % 40 === 0,
  ),
)
</script>

<template>
  <svg class="block overflow-visible text-soft" :width="width * scale" height="29" aria-hidden="true">
    <line x1="0" :x2="width * scale" y1="28.500" y2="28.500" stroke="currentColor" />
    <template v-for="px in marks" :key="px">
      <line :x1="px * scale" :x2="px * scale" :y1="px % every === 0 ? 14 : 22" y2="28" stroke="currentColor" />
      <text
        v-if="px % every === 0 && px * scale + LABEL < width * scale"
        :x="px * scale + 3"
        y="11"
        fill="currentColor"
        font-size="11"
        font-family="JetBrains Mono Variable, monospace"
      >
        {{ px }}
      </text>
    </template>
  </svg>
</template>
