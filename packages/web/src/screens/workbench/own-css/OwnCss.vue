<script setup lang="ts">
import { cssVariables, partsOf } from '@pebblestrand/core/kinds'
import type { CssNote } from '@pebblestrand/core/own-css'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import Panel from '../../../parts/Panel.vue'
import Waiting from '../../../parts/Waiting.vue'
import { useWorkbench } from '../../../stores/workbench'

/** CSS of the widget's own, with what it can name, and what of it does not apply and why. */
const emit = defineEmits<{ close: [] }>()
const bench = useWorkbench()

/** Ms after the last letter. */
const AFTER = 250
const room = ref<HTMLElement | null>(null)
const ready = ref(false)
const notes = ref<CssNote[]>([])
const parts = computed(() => (bench.kind ? (partsOf(bench.kind) as Record<string, string>) : {}))
const words = { mistake: 'cannot be read', 'taken-out': 'taken out', unknown: 'not known here' }

const editor = shallowRef<Awaited<ReturnType<typeof begin>> | null>(null)
let waiting: ReturnType<typeof setTimeout> | undefined

async function look(css: string): Promise<void> {
  notes.value = await bench.cssNotes(css)
  editor.value?.note(notes.value)
}
function typed(css: string): void {
  clearTimeout(waiting)
  waiting = setTimeout(() => {
    bench.set('ownCss', css)
    void look(css)
  }, AFTER)
}
async function begin() {
  const { cssEditor } = await import('./editor')
  return cssEditor(
    room.value!,
    String(bench.settings.ownCss ?? ''),
    { parts: parts.value, variables: cssVariables },
    typed,
  )
}
onMounted(async () => {
  editor.value = await begin()
  ready.value = true
  editor.value.focus()
  await look(String(bench.settings.ownCss ?? ''))
})
onBeforeUnmount(() => {
  clearTimeout(waiting)
  editor.value?.end()
})
</script>

<template>
  <Panel :open="true" title="Own CSS" wide @close="emit('close')">
    <p class="text-[14px] text-soft">
      It applies to this widget alone, before everything else. It loads nothing, and nothing of it is painted outside
      the widget.
    </p>
    <div class="mt-3 grid gap-6 lg:grid-cols-[minmax(0,1fr)_230px]">
      <div class="min-w-0">
        <Waiting v-if="!ready" doing="Laying out the editor" />
        <div ref="room" class="h-[320px] overflow-hidden border border-rule" />
        <h3 id="css-notes" class="label mt-4">What of it does not apply</h3>
        <p v-if="!notes.length" class="mt-1 text-[14px] text-soft" role="status">Nothing: all of it applies.</p>
        <ul v-else class="ledger mt-1 max-h-[180px] overflow-auto" tabindex="0" aria-labelledby="css-notes">
          <li v-for="(note, at) in notes" :key="at" class="py-[6px] text-[14px]">
            <b>Line {{ note.line }}</b
            >, {{ words[note.kind] }}: <code v-if="note.text" class="font-mono text-[13px]">{{ note.text }}</code>{{
              ' '
            }}<span :class="note.kind === 'unknown' ? 'text-soft' : 'text-coral'">{{ note.says }}.</span>
          </li>
        </ul>
      </div>
      <div class="max-h-[560px] overflow-auto text-[13.5px]" tabindex="0" role="region" aria-label="What it can name">
        <h3 class="label">Parts</h3>
        <dl class="mt-1">
          <div v-for="(says, name) in parts" :key="name" class="py-[2px]">
            <dt class="font-mono text-[12.5px]">::part({{ name }})</dt>
            <dd class="text-soft">{{ says }}</dd>
          </div>
        </dl>
        <h3 class="label mt-3">Variables</h3>
        <dl class="mt-1">
          <div v-for="(says, name) in cssVariables" :key="name" class="py-[2px]">
            <dt class="font-mono text-[12.5px]">{{ name }}</dt>
            <dd class="text-soft">{{ says }}</dd>
          </div>
        </dl>
      </div>
    </div>
  </Panel>
</template>
