<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { X } from '@lucide/vue'
import { ref } from 'vue'

const props = defineProps<{ control: ControlOf<'words'>; value: string[]; label: string }>()
const emit = defineEmits<{ set: [value: string[]] }>()
const word = ref('')

function add(): void {
  const next = word.value
    .split(',')
    .map((w) => w.trim())
    .filter((w) => w && !props.value.includes(w))
  if (next.length) emit('set', [...props.value, ...next].slice(0, props.control.most))
  word.value = ''
}
</script>

<template>
  <div>
    <ul v-if="value.length" class="mb-2 flex flex-wrap gap-2">
      <li v-for="one in value" :key="one" class="flex items-center gap-1 border border-rule px-2">
        {{ one }}
        <button
          type="button"
          class="cursor-pointer"
          :aria-label="`Take ${one} out`"
          @click="
            emit(
              'set',
              value.filter((w) => w !== one),
            )
          "
        >
          <X :size="13" />
        </button>
      </li>
    </ul>
    <form class="flex items-end gap-3" @submit.prevent="add">
      <input v-model="word" class="field" :aria-label="`${label}: add a word`" placeholder="ferry" @blur="add" />
      <button class="word">Add</button>
    </form>
    <p class="mt-2 text-[13px] text-soft">Whole words. A * at the end finds beginnings: sail*</p>
  </div>
</template>
