<script setup lang="ts">
import { isBrowserLook, lookKinds } from '@pebblestrand/core/verify/words'
import { computed } from 'vue'
import type { InstallDetail } from '../../api/types'
import { cropAround } from './crop'
import CroppedPicture from './CroppedPicture.vue'

const props = defineProps<{ check: NonNullable<InstallDetail['check']> }>()

/** The widest first: it takes the whole column, the narrower ones share the next line. */
const pictures = computed(() =>
  props.check.looks
    .filter((look) => isBrowserLook(look.how) && look.hasPicture && look.sight)
    .map((look) => ({ how: look.how, sight: look.sight!, crop: cropAround(look.sight!) }))
    .sort((a, b) => b.sight.width - a.sight.width),
)
</script>

<template>
  <ul v-if="pictures.length" aria-label="Proof pictures" class="mt-4 flex flex-wrap gap-3 border-t border-rule pt-3">
    <li
      v-for="({ how, sight, crop }, index) in pictures"
      :key="how"
      :class="index === 0 ? 'w-full' : 'min-w-0'"
      :style="index === 0 ? {} : { flex: `${sight.width} 1 0` }"
    >
      <a :href="`/api/checks/${check.id}/looks/${how}/picture`" target="_blank" class="block">
        <CroppedPicture
          :src="`/api/checks/${check.id}/looks/${how}/picture`"
          :alt="`The page ${lookKinds[how].name}${sight.boxes.length ? ', the widget outlined' : ', without the widget'}`"
          :width="sight.width"
          :crop="crop"
          outline="outline-offset-1 outline-coral"
        />
      </a>
      <p class="pt-1 text-[13px] text-soft">
        {{ sight.width }} px<template v-if="sight.boxes[0]"
          >, the widget {{ sight.boxes[0].width }} × {{ sight.boxes[0].height }}</template
        >
        <template v-if="sight.readyMs !== null">, there after {{ (sight.readyMs / 1000).toFixed(1) }} s</template>
        <template v-if="sight.shift >= 0.1">, the page jumps</template>
      </p>
    </li>
  </ul>
</template>
