<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import type { RichText } from '@pebblestrand/core/rich-text'
import { defineAsyncComponent } from 'vue'

/** The editor comes when somebody opens it: most of the workbench does without. */
defineProps<{ control: ControlOf<'rich'>; value: RichText; label: string }>()
const emit = defineEmits<{ set: [value: RichText] }>()
const RichEditor = defineAsyncComponent(() => import('./rich/RichEditor.vue'))
</script>

<template>
  <RichEditor :value="value" :most="control.most" :label="label" @set="emit('set', $event)" />
</template>
