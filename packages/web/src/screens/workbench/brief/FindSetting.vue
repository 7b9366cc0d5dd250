<script setup lang="ts">
import { settingsOf } from '@pebblestrand/core/kinds'
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { onElsewhere } from '../../../parts/elsewhere'
import { useWorkbench } from '../../../stores/workbench'
import { openSetting } from './open-setting'

/** Jumps to a setting by name and opens it. */
const bench = useWorkbench()
const words = ref('')
const box = ref<HTMLElement | null>(null)
onElsewhere(
  () => [box.value],
  () => (words.value = ''),
)
const matches = computed(() => {
  const text = words.value.trim().toLowerCase()
  if (!bench.kind || !text) return []
  return settingsOf(bench.kind).filter(
    ({ meta }) => (meta.when?.(bench.settings) ?? true) && meta.label.toLowerCase().includes(text),
  )
})

function jump(key: string | null): void {
  if (!key) return
  words.value = ''
  // The list hands the focus back to its field in the next frame; only after that may the setting have it.
  requestAnimationFrame(() => requestAnimationFrame(() => openSetting(key)))
}
</script>

<template>
  <div ref="box" class="relative w-[132px]">
    <Combobox :model-value="null" nullable @update:model-value="jump">
      <ComboboxInput
        class="field text-[14px]"
        placeholder="Find a setting"
        aria-label="Find a setting"
        autocomplete="off"
        :display-value="() => words"
        @change="words = $event.target.value"
        @keydown.esc="words = ''"
      />
      <ComboboxOptions
        v-if="words.trim()"
        static
        class="absolute right-0 z-30 mt-1 w-[230px] border border-ink bg-sheet py-1"
      >
        <ComboboxOption v-for="{ key, meta } in matches" :key="key" v-slot="{ active }" :value="key"
          ><span class="block cursor-pointer px-3 py-1" :class="{ 'bg-sand': active }">{{
            meta.label
          }}</span></ComboboxOption
        >
        <li v-if="!matches.length" class="px-3 py-1 text-soft">No setting is called that.</li>
      </ComboboxOptions>
    </Combobox>
  </div>
</template>
