<script setup lang="ts">
import { computed } from 'vue'
import type { InstallDetail } from '../../api/types'
import { cropAround } from './crop'
import CroppedPicture from './CroppedPicture.vue'

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
  <CroppedPicture
    v-if="picture"
    :src="`/api/checks/${check.id}/looks/desktop/picture`"
    :alt="`The page on a desktop, with what ${check.facts!.mark} is outlined`"
    :width="picture.width"
    :crop="picture.crop"
    outline="outline-tide outline-dashed"
  />
</template>
