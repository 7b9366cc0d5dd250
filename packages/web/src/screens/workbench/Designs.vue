<script setup lang="ts">
import { redesigned, type Settings } from '@pebblestrand/core/kinds'
import { computed, ref } from 'vue'
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import { fitOf } from '../../parts/fit'
import Panel from '../../parts/Panel.vue'
import { keepStarter, useOwnStarters } from '../../queries/agency'
import { useWorkbench } from '../../stores/workbench'
import Drawing from './Drawing.vue'

/** Other designs for the same content, drawn with it: what was set by hand stays wherever a design says nothing of it. */
const props = defineProps<{ width: number }>()
const emit = defineEmits<{ close: [] }>()
const bench = useWorkbench()
const { data: own } = useOwnStarters()
const name = ref('')

interface Design {
  id: string
  name: string
  settings: Settings
}
const designs = computed<Design[]>(() => [
  ...(bench.kind?.starters ?? []),
  ...(own.value?.rows ?? [])
    .filter(({ kind }) => kind === bench.kind?.id)
    .map((starter) => ({ ...starter, id: `own:${starter.id}`, name: `${starter.name} (ours)` })),
])
const shown = computed(() =>
  designs.value.map((design) => {
    const next = redesigned(bench.kind!, bench.settings, bench.widget!.starterSettings, design.settings)
    return { ...design, next, fit: fitOf(bench.kind!.id, next.settings, props.width) }
  }),
)

function take({ name, next }: (typeof shown.value)[number]): void {
  bench.replaceAll(next.settings)
  say(`It is laid out as ${name.replace(' (ours)', '')}.`, {
    remedy: next.replaced.length
      ? `It decides otherwise what you had set: ${next.replaced.map((one) => one.toLowerCase()).join(', ')}.`
      : 'What you had set by hand stayed.',
    undo: bench.undo,
  })
  emit('close')
}
async function keep(): Promise<void> {
  try {
    await bench.saving.flush()
    await keepStarter(bench.widget!.id, name.value.trim())
    say(`${name.value.trim()} is one of your starters now.`)
    name.value = ''
  } catch (e) {
    sayFault(asApiError(e))
  }
}
</script>

<template>
  <Panel :open="true" title="Other design" widest @close="emit('close')">
    <p class="text-[14px] text-soft">Each drawn with what it shows now, {{ width }} px wide.</p>
    <ul class="mt-3 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
      <li v-for="design in shown" :key="design.id" class="min-w-0 border border-rule p-3">
        <Drawing :settings="design.next.settings" :width="width" class="h-[190px]" />
        <p class="mt-2 flex flex-wrap items-baseline gap-x-3">
          <b>{{ design.name }}</b>
          <span
            v-if="design.fit"
            class="text-[13px]"
            :class="design.fit.verdict === 'fits' ? 'text-soft' : 'text-ochre'"
            >{{ design.fit.head }}</span
          >
          <button type="button" class="word ml-auto" :aria-label="`Take it: ${design.name}`" @click="take(design)">
            Take it
          </button>
        </p>
        <p v-if="design.next.replaced.length" class="text-[13px] text-soft">
          decides otherwise: {{ design.next.replaced.map((one) => one.toLowerCase()).join(', ') }}
        </p>
      </li>
    </ul>
    <form class="mt-5 flex flex-wrap items-baseline gap-3 border-t border-rule pt-4" @submit.prevent="keep">
      <label for="starter-name">Keep this widget’s design as a starter of ours, called</label>
      <input id="starter-name" v-model="name" class="field w-[220px]" maxlength="60" />
      <button class="word" :disabled="!name.trim()">Keep it</button>
    </form>
  </Panel>
</template>
