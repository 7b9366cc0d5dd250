<script setup lang="ts">
import Labelled from './Labelled.vue'

/** A labelled line to write in; attributes go to the input itself. An emptied number is null, never a text. */
defineOptions({ inheritAttrs: false })
defineProps<{ label: string; hint?: string; fault?: string }>()
const [value, modifiers] = defineModel<string | number | null, 'number'>({
  set: (typed) => (modifiers.number ? (typed === '' ? null : Number(typed)) : typed),
})
</script>

<template>
  <Labelled v-slot="{ id, invalid, described }" :label="label" :hint="hint" :fault="fault">
    <input
      :id="id"
      v-model="value"
      class="field"
      :type="modifiers.number ? 'number' : 'text'"
      :aria-invalid="invalid"
      :aria-describedby="described"
      v-bind="$attrs"
    />
  </Labelled>
</template>
