<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import type { RichText } from '@pebblestrand/core/rich-text'
import { defineAsyncComponent, ref } from 'vue'

/** The editor comes when somebody opens it: most of the workbench does without. */
defineProps<{ control: ControlOf<'rich'>; value: RichText; label: string }>()
const emit = defineEmits<{ set: [value: RichText] }>()
const isThere = ref(false)
const RichEditor = defineAsyncComponent(() => import('./rich/RichEditor.vue'))
</script>

<template>
  <!-- Something to take the focus while the editor is on its way: an open panel without it would close again. -->
  <div :tabindex="isThere ? -1 : 0" role="group" :aria-label="label" class="outline-none">
    <RichEditor :value="value" :most="control.most" :label="label" @set="emit('set', $event)" @ready="isThere = true" />
  </div>
</template>
