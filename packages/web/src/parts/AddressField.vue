<script setup lang="ts">
import { completeAddress } from '@pebblestrand/core/addresses'
import TypedField from './TypedField.vue'

/**
 * A field for where a link leads. When it is left, what was typed is made a whole address in sight: `example.org` gets its
 * scheme, a mail address and a telephone number theirs. What leads nowhere stays as it was typed.
 */
defineProps<{ value: string }>()
const emit = defineEmits<{ change: [address: string] }>()
</script>

<template>
  <TypedField
    inputmode="url"
    autocomplete="off"
    autocapitalize="off"
    spellcheck="false"
    placeholder="example.org or /page"
    dir="ltr"
    :value="value"
    @change="(text: string) => emit('change', completeAddress(text) ?? text.trim())"
  />
</template>
