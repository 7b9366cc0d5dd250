<script setup lang="ts">
import { matchesPattern, patternProblem } from '@pebblestrand/core/page-patterns'
import type { ControlOf } from '@pebblestrand/core/kinds'
import { X } from '@lucide/vue'
import { computed, inject, ref } from 'vue'
import { pagesKey } from './pages'

/** Paths of pages and patterns of them, with the pages that they stand for where it is looked at. */
const props = defineProps<{ control: ControlOf<'paths'>; value: string[]; label: string }>()
const emit = defineEmits<{ set: [value: string[]] }>()
const path = ref('')
const problem = ref('')
const pages = inject(
  pagesKey,
  computed(() => []),
)
const matched = computed(() => pages.value.filter((page) => props.value.some((one) => matchesPattern(one, page.path))))

function add(): void {
  const next = path.value.trim()
  if (!next) return void (problem.value = '')
  const wrong = patternProblem(next)
  problem.value = wrong ? `A path must ${wrong}.` : ''
  if (wrong) return
  if (!props.value.includes(next)) emit('set', [...props.value, next].slice(0, props.control.most))
  path.value = ''
}
</script>

<template>
  <div>
    <ul v-if="value.length" class="mb-2 grid gap-1">
      <li v-for="one in value" :key="one" class="flex items-center gap-2 border-b border-rule font-mono text-[13px]">
        <span class="min-w-0 flex-1 break-all">{{ one }}</span>
        <button
          type="button"
          class="grid size-6 flex-none cursor-pointer place-items-center"
          :aria-label="`Take ${one} out`"
          @click="
            emit(
              'set',
              value.filter((other) => other !== one),
            )
          "
        >
          <X :size="13" />
        </button>
      </li>
    </ul>
    <p v-else class="mb-2 text-soft">{{ control.none }}</p>
    <form class="flex items-end gap-3" @submit.prevent="add">
      <input
        v-model="path"
        class="field font-mono"
        :aria-label="`${label}: add a path`"
        :aria-invalid="problem !== ''"
        list="known-paths"
        placeholder="/news/*"
        @blur="add"
      />
      <button class="word">Add</button>
    </form>
    <datalist id="known-paths">
      <option v-for="page in pages" :key="page.path" :value="page.path">{{ page.title }}</option>
    </datalist>
    <p v-if="problem" class="mt-1 text-coral" role="alert">{{ problem }}</p>
    <p class="mt-2 text-[13px] text-soft">
      A * stands for anything, :name for one part.
      <template v-if="value.length && pages.length"
        >Here: {{ matched.map((page) => page.title).join(', ') || 'no page of this site' }}.</template
      >
    </p>
  </div>
</template>
