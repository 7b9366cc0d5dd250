<script setup lang="ts">
import { ref, watch } from 'vue'

/**
 * A field whose text is taken over when it is left. What is being typed stays, also where the screen is drawn anew meanwhile: a bound
 * `value` would be put back by every drawing.
 */
const props = defineProps<{ value: string | number }>()
const emit = defineEmits<{ change: [text: string] }>()
const typed = ref(String(props.value))
watch(
  () => props.value,
  (now) => (typed.value = String(now)),
)
/** Where what was typed is not taken, the field says again what holds. */
function leave({ target }: Event): void {
  emit('change', (target as HTMLInputElement).value)
}
</script>

<template>
  <input :value="typed" @input="typed = ($event.target as HTMLInputElement).value" @change="leave" />
</template>
