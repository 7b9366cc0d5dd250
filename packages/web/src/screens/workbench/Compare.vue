<script setup lang="ts">
import { briefOf, difference, renamed, type Settings } from '@pebblestrand/core/kinds'
import { computed, ref } from 'vue'
import Panel from '../../parts/Panel.vue'
import { useWorkbench } from '../../stores/workbench'
import Drawing from './Drawing.vue'

/** Any two of draft and releases: two briefs side by side, what differs marked, and the widget as each has it. */
const props = defineProps<{ first?: number }>()
const emit = defineEmits<{ close: [] }>()
const bench = useWorkbench()

type Which = number | 'draft'
const sides = ref<[Which, Which]>([props.first ?? bench.newest?.number ?? 'draft', 'draft'])
const nameOf = (which: Which) => (which === 'draft' ? 'the draft' : `release ${which}`)
const options = computed<Which[]>(() => ['draft', ...(bench.widget?.releases ?? []).map(({ number }) => number)])
const releaseOf = (which: Which) => bench.widget?.releases.find(({ number }) => number === which)
const settingsOf = (which: Which): Settings => releaseOf(which)?.settings ?? bench.settings
const called = (which: Which) => releaseOf(which)?.name ?? bench.widget!.name
const context = computed(() => ({ sourceNames: bench.sourceNames }))

const changes = computed(() => {
  const [before, after] = sides.value
  return [
    ...renamed(called(before), called(after)),
    ...difference(bench.kind!, settingsOf(before), settingsOf(after), context.value),
  ]
})
const differs = computed(() => new Set(changes.value.map(({ key }) => key)))
const briefs = computed(() => sides.value.map((which) => briefOf(bench.kind!, settingsOf(which), context.value)))
</script>

<template>
  <Panel :open="true" title="Compare" widest @close="emit('close')">
    <p role="status" class="mb-3 text-soft">
      <template v-if="!changes.length">Nothing is different.</template>
      <template v-else
        >{{ changes.length === 1 ? '1 thing differs' : `${changes.length} things differ` }}:
        {{ changes.map(({ label }) => label.toLowerCase()).join(', ') }}.</template
      >
    </p>
    <div class="grid gap-x-8 gap-y-6 md:grid-cols-2">
      <section v-for="(which, at) in sides" :key="at" class="min-w-0" :aria-label="nameOf(which)">
        <label class="flex items-baseline gap-2 border-b border-ink pb-2"
          ><span class="label">{{ at ? 'After' : 'Before' }}</span>
          <select v-model="sides[at]" class="field w-auto">
            <option v-for="option in options" :key="option" :value="option">{{ nameOf(option) }}</option>
          </select></label
        >
        <p v-if="releaseOf(which)?.note" class="mt-2 text-[14px] text-soft italic">{{ releaseOf(which)!.note }}</p>
        <p v-if="differs.has('name')" class="mt-2 text-[14px]">
          Called <mark class="bg-sand font-bold text-ink">{{ called(which) }}</mark>
        </p>
        <Drawing :settings="settingsOf(which)" class="mt-3 h-[240px]" />
        <div v-for="paragraph in briefs[at]" :key="paragraph.id" class="mt-3 text-[14px] leading-[1.6]">
          <h3 class="label">{{ paragraph.heading }}</h3>
          <p>
            <template v-for="(piece, index) in paragraph.pieces" :key="index">
              <template v-if="'text' in piece">{{ piece.text }}</template>
              <mark
                v-else-if="differs.has(piece.key)"
                class="bg-sand font-bold text-ink underline decoration-ochre decoration-2 underline-offset-3"
                >{{ piece.words }}<span class="sr-only"> (differs)</span></mark
              >
              <template v-else>{{ piece.words }}</template>
            </template>
          </p>
        </div>
      </section>
    </div>
  </Panel>
</template>
