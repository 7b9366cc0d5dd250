<script setup lang="ts">
import type { Picture } from '@pebblestrand/core/items'
import { useId } from 'vue'
import { PICTURE_FILES } from '../../queries/pictures'

/** Which picture stands for a pick: one of those that were found, one from the person's own machine, or none. */
defineProps<{ choices: Picture[]; chosen: Picture | null; problem: string }>()
const emit = defineEmits<{ choose: [picture: Picture | null]; upload: [file: File] }>()
const name = useId()
const sourceOf = ({ url, own }: Picture) => (own ? `${own.base}-${own.widths[0]}.jpg` : url)

function take(event: Event): void {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) emit('upload', file)
}
</script>

<template>
  <fieldset class="mb-4 border-0 p-0">
    <legend class="label">Picture</legend>
    <div class="mt-1 flex flex-wrap items-stretch gap-2">
      <label v-for="(picture, at) in choices" :key="picture.url" class="choice">
        <input
          type="radio"
          class="sr-only"
          :name="name"
          :checked="chosen?.url === picture.url"
          :aria-label="picture.alt || `Picture ${at + 1}`"
          @change="emit('choose', picture)"
        />
        <img :src="sourceOf(picture)" alt="" class="h-[64px] w-[84px] object-cover" loading="lazy" />
      </label>
      <label class="choice px-3">
        <input type="radio" class="sr-only" :name="name" :checked="chosen === null" @change="emit('choose', null)" />
        none
      </label>
      <label class="word self-center px-2">
        Choose from this computer
        <input type="file" class="sr-only" :accept="PICTURE_FILES" @change="take" />
      </label>
    </div>
    <p v-if="problem" class="mt-1 text-[13.5px] text-coral" role="alert">{{ problem }}</p>
  </fieldset>
</template>

<style scoped>
.choice {
  display: grid;
  min-height: 40px;
  cursor: pointer;
  place-items: center;
  border: 1px solid var(--color-rule);
  padding: 3px;
}
.choice:has(:checked) {
  border-color: var(--color-ink);
  outline: 2px solid var(--color-kelp);
}
label:has(:focus-visible) {
  outline: 2px solid var(--color-tide);
  outline-offset: 2px;
}
</style>
