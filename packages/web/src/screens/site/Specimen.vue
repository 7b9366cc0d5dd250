<script setup lang="ts">
import { onBeforeUnmount, onMounted } from 'vue'
import type { ReadLook } from './look-pieces'

/** A few lines set in a look, as its site would set them. */
const props = defineProps<{ look: ReadLook }>()

const faces: FontFace[] = []
onMounted(() => {
  for (const { family, src, weight } of props.look.fontFaces) {
    const face = new FontFace(family, `url(${JSON.stringify(src)})`, { weight })
    document.fonts.add(face)
    face.load().catch(() => {}) // the next family of the list stands for it
    faces.push(face)
  }
})
onBeforeUnmount(() => faces.forEach((face) => document.fonts.delete(face)))
</script>

<template>
  <div
    class="self-start border border-rule p-4"
    aria-label="Specimen"
    role="img"
    :style="{
      background: look.background?.value,
      color: look.text?.value,
      fontFamily: look.bodyFont?.value,
    }"
  >
    <p
      class="text-[22px] leading-tight font-bold"
      :style="{ fontFamily: look.headingFont?.value, color: look.heading?.value }"
    >
      The tide is in
    </p>
    <p class="mt-2 text-[15px] leading-normal">
      Boats lie where they are tied, and
      <span class="underline" :style="{ color: (look.link ?? look.accent)?.value }">a link leads on</span>.
    </p>
    <span
      v-if="look.button"
      class="mt-3 inline-block px-4 py-2 text-[15px]"
      :style="{
        background: look.button.value,
        color: look.buttonText?.value,
        borderRadius: `${look.radius?.value ?? 0}px`,
      }"
      >A button</span
    >
  </div>
</template>
