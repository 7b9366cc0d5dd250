<script setup lang="ts">
import TypedField from '../../parts/TypedField.vue'

/** A whole number that a made-up visit is told by; what is typed past its limits becomes the limit. */
const props = defineProps<{ value: number; min?: number; most: number; says: string }>()
const emit = defineEmits<{ change: [value: number] }>()
const take = (text: string) => {
  const { min = 0, most } = props
  emit('change', Math.min(most, Math.max(min, Math.round(Number(text) || 0))))
}
</script>

<template>
  <TypedField
    class="field w-[58px] flex-none"
    type="number"
    :min="min ?? 0"
    :max="most"
    :aria-label="says"
    :value="value"
    @change="take"
  />
</template>
