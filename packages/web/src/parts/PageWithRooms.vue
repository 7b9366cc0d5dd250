<script setup lang="ts">
import { PICTURE_TALLEST } from '@pebblestrand/core/verify/words'
import { computed } from 'vue'
import { pictureOf, type SiteRead } from '../queries/site-readings'

/** A site's first page as a browser drew it, with the rooms for widgets outlined where they were read. */
const props = defineProps<{ readingId: string; read: SiteRead; only?: string }>()

const tall = computed(() => Math.min(props.read.picture!.height, PICTURE_TALLEST))
const share = (part: number, of: number) => `${((part / of) * 100).toFixed(2)}%`
const rooms = computed(() =>
  props.read.rooms.flatMap(({ name, box, widths, on }) =>
    box && box.y < tall.value && (!on || on.includes('/'))
      ? {
          name,
          width: widths.desktop,
          style: {
            left: share(box.x, props.read.picture!.width),
            top: share(box.y, tall.value),
            width: share(box.width, props.read.picture!.width),
            height: share(Math.max(24, Math.min(box.height, tall.value - box.y)), tall.value),
          },
        }
      : [],
  ),
)
</script>

<template>
  <a :href="pictureOf(readingId)" target="_blank" class="block overflow-hidden border border-rule bg-sheet">
    <span class="relative block" :style="{ aspectRatio: `${read.picture!.width} / ${tall}` }">
      <img
        :src="pictureOf(readingId)"
        :alt="`The first page of ${read.origin} in a wide window`"
        class="absolute inset-0 size-full"
        loading="lazy"
      />
      <span
        v-for="room in rooms"
        :key="room.name"
        class="absolute border-2 border-dashed border-tide"
        :style="room.style"
        aria-hidden="true"
      >
        <span
          class="absolute top-0 left-0 max-w-full truncate bg-tide px-[5px] text-[11.5px] leading-[17px] text-sheet"
          >{{ room.name }}</span
        >
      </span>
    </span>
  </a>
</template>
