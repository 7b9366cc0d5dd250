<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { computed, inject } from 'vue'
import TypedField from '../../../parts/TypedField.vue'
import { noSwatches, siteSwatchesKey } from './site-swatches'

const props = defineProps<{ control: ControlOf<'colour'>; value: string; label: string }>()
const emit = defineEmits<{ set: [value: string] }>()
const swatches = inject(siteSwatchesKey, noSwatches, true)
const six = computed(() =>
  /^#[0-9a-f]{6}$/i.test(props.value)
    ? props.value
    : /^#[0-9a-f]{3}$/i.test(props.value)
      ? props.value.replace(/[0-9a-f]/gi, '$&$&')
      : '#ffffff',
)
</script>

<template>
  <div>
    <div class="flex items-center gap-3">
      <input
        type="color"
        class="h-8 w-10 cursor-pointer border border-rule bg-transparent"
        :value="six"
        :aria-label="`${label}, picked`"
        @input="emit('set', ($event.target as HTMLInputElement).value)"
      />
      <TypedField
        class="field w-[96px] font-mono"
        :value="value"
        :aria-label="`${label}, written`"
        placeholder="#17665A"
        spellcheck="false"
        @change="emit('set', $event.trim())"
      />
      <button v-if="control.unset !== null && value" type="button" class="word" @click="emit('set', '')">
        {{ control.unset }}
      </button>
    </div>
    <p v-if="swatches.length" class="mt-2 flex flex-wrap items-center gap-2 text-[13px] text-soft">
      From the site:
      <button
        v-for="swatch in swatches"
        :key="swatch.colour"
        type="button"
        class="size-6 cursor-pointer border border-soft"
        :style="{ background: swatch.colour }"
        :title="`${swatch.says}, ${swatch.colour}`"
        :aria-label="`${label}: ${swatch.says}, ${swatch.colour}`"
        @click="emit('set', swatch.colour)"
      />
    </p>
  </div>
</template>
