<script setup lang="ts">
import { computed } from 'vue'
import type { InstallDetail } from '../../api/types'
import { cropAround } from './crop'

/** The container that a placement can be marked by, outlined in the picture of the page. */
const props = defineProps<{ check: NonNullable<InstallDetail['check']> }>()

const picture = computed(() => {
  const look = props.check.looks.find(({ how }) => how === 'desktop')
  const box = props.check.facts?.markBox
  if (!look?.hasPicture || !look.sight || !box || box.height < 1) return null
  return { width: look.sight.width, crop: cropAround({ ...look.sight, boxes: [box] }) }
})
</script>

<template>
  <div
    v-if="picture"
    class="relative overflow-hidden border border-rule bg-sheet"
    :style="{ aspectRatio: `${picture.width} / ${picture.crop.height}` }"
  >
    <img
      :src="`/api/checks/${check.id}/looks/desktop/picture`"
      :alt="`The page on a desktop, with what ${check.facts!.mark} is outlined`"
      class="absolute left-0 w-full"
      :style="{ top: picture.crop.top }"
      loading="lazy"
    />
    <span
      v-for="(box, at) in picture.crop.boxes"
      :key="at"
      class="absolute outline-2 outline-tide outline-dashed"
      :style="box"
      aria-hidden="true"
    />
  </div>
</template>
