<script setup lang="ts">
import { useId } from 'vue'

/** A field with its label, a hint, and what is wrong with it. */
defineProps<{ label: string; hint?: string; fault?: string }>()
const id = useId()
</script>

<template>
  <div class="mb-4">
    <label :for="id" class="label block">{{ label }}</label>
    <slot :id="id" :invalid="fault ? true : undefined" :described="fault || hint ? `${id}-more` : undefined" />
    <p v-if="fault" :id="`${id}-more`" class="mt-1 text-[13.5px] text-coral">
      {{ fault.endsWith('.') ? fault : `It ${fault}.` }}
    </p>
    <p v-else-if="hint" :id="`${id}-more`" class="mt-1 text-[13px] text-soft">{{ hint }}</p>
  </div>
</template>
