<script setup lang="ts">
import {
  fieldKinds,
  FormDefinition,
  freeName,
  MOST,
  moved,
  newField,
  type Field,
  type FieldKind,
} from '@pebblestrand/core/forms'
import { computed, nextTick, ref } from 'vue'
import Panel from '../../../parts/Panel.vue'
import { plain } from '../../../stores/plain'
import { useWorkbench } from '../../../stores/workbench'
import FieldEditor from './FieldEditor.vue'
import FieldRow from './FieldRow.vue'

/** What a form asks for: steps and fields in their order at the left, at the right what is asked about the one that was chosen. */
const emit = defineEmits<{ close: [] }>()
const bench = useWorkbench()
const KEY = 'fields'
const form = computed(() => (bench.settings[KEY] ?? null) as FormDefinition | null)
const steps = computed(() => form.value?.steps ?? [])
const all = computed(() => steps.value.flatMap(({ fields }) => fields))
/** Whether the widget can do without any, as what stands over the page can. */
const mayBeNone = computed(() => bench.widget?.kind !== 'form')
const set = (next: FormDefinition['steps'] | null) => bench.set(KEY, next && { steps: next })

const chosen = ref<{ step: number; at: number }>({ step: 0, at: 0 })
const field = computed<Field | undefined>(() => steps.value[chosen.value.step]?.fields[chosen.value.at])
const earlier = computed(() => (field.value ? all.value.slice(0, all.value.indexOf(field.value)) : []))

/** What is wrong, by where it stands: `steps.0.fields.1.label`. */
const faults = computed(() => {
  const read = form.value && FormDefinition.safeParse(form.value)
  return new Map(read && !read.success ? read.error.issues.map(({ path, message }) => [path.join('.'), message]) : [])
})
const pathOf = (step: number, at: number) => `steps.${step}.fields.${at}`
const isFaulty = (step: number, at: number) =>
  [...faults.value.keys()].some((path) => path === pathOf(step, at) || path.startsWith(`${pathOf(step, at)}.`))
const ownFaults = computed(() => {
  const begin = pathOf(chosen.value.step, chosen.value.at)
  const own = [...faults.value].flatMap(([path, message]) => {
    if (path !== begin && !path.startsWith(`${begin}.`)) return []
    return [[path.slice(begin.length + 1).split('.')[0]! || 'label', message]]
  })
  return Object.fromEntries(own) as Record<string, string>
})
const ofAll = computed(() => faults.value.get('steps') ?? '')

function change(part: Record<string, unknown>): void {
  const { step, at } = chosen.value
  const before = field.value
  if (!before) return
  const others = all.value.filter((one) => one !== before).map(({ name }) => name)
  // Until it is named by hand, a field is known by its words.
  const follows = typeof part.label === 'string' && 'label' in before && before.name === freeName(before.label, others)
  const next = { ...before, ...part, ...(follows ? { name: freeName(part.label as string, others) } : {}) } as Field
  set(
    renamed(
      steps.value.with(step, { ...steps.value[step]!, fields: steps.value[step]!.fields.with(at, next) }),
      before.name,
      next.name,
    ),
  )
}
/** Fields that hang on one follow its name. */
const renamed = (all: FormDefinition['steps'], from: string, to: string) =>
  from === to
    ? all
    : all.map((step) => ({
        ...step,
        fields: step.fields.map((one) =>
          'when' in one && one.when?.field === from ? { ...one, when: { ...one.when, field: to } } : one,
        ),
      }))

const adding = ref<FieldKind>('short')
function add(): void {
  const next = newField(
    adding.value,
    all.value.map(({ name }) => name),
  )
  const step = Math.max(0, steps.value.length ? Math.min(chosen.value.step, steps.value.length - 1) : 0)
  const into = steps.value[step] ?? { title: '', fields: [] }
  set(
    plain([...steps.value.slice(0, step), { ...into, fields: [...into.fields, next] }, ...steps.value.slice(step + 1)]),
  )
  chosen.value = { step, at: into.fields.length }
}
function drop(step: number, at: number): void {
  const next = steps.value.with(step, { ...steps.value[step]!, fields: steps.value[step]!.fields.toSpliced(at, 1) })
  set(mayBeNone.value && next.every(({ fields }) => !fields.length) ? null : next)
}
function place(from: { step: number; at: number }, to: { step: number; at: number }): void {
  set(moved(steps.value, from, to))
  chosen.value = to
}
function bring(from: { step: number; at: number }, step: number, at: number, behind: boolean): void {
  const to = at + (behind ? 1 : 0)
  place(from, { step, at: from.step === step && from.at < to ? to - 1 : to })
}
/** By keys, over the border of a step too; the handle keeps the focus. */
async function move(step: number, at: number, by: -1 | 1): Promise<void> {
  const { name } = steps.value[step]!.fields[at]!
  const to = at + by
  if (to >= 0 && to < steps.value[step]!.fields.length) place({ step, at }, { step, at: to })
  else if (steps.value[step + by])
    place({ step, at }, { step: step + by, at: by > 0 ? 0 : steps.value[step + by]!.fields.length })
  await nextTick()
  document.querySelector<HTMLElement>(`[data-handle="${name}"]`)?.focus()
}
const title = (step: number, text: string) => set(steps.value.with(step, { ...steps.value[step]!, title: text }))
const addStep = () => set([...steps.value, { title: '', fields: [] }])
/** Its fields go to the step before. */
function joinStep(step: number): void {
  const before = steps.value[step - 1]!
  set(steps.value.toSpliced(step - 1, 2, { ...before, fields: [...before.fields, ...steps.value[step]!.fields] }))
  chosen.value = { step: step - 1, at: 0 }
}
</script>

<template>
  <Panel :open="true" title="What it asks for" widest @close="emit('close')">
    <div class="grid gap-x-9 gap-y-6 md:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
      <div>
        <p v-if="!steps.length" class="border-t border-ink pt-3">It asks for nothing yet. Add the first field.</p>
        <section v-for="(step, number) in steps" :key="number" class="mb-4" :aria-label="`Step ${number + 1}`">
          <p v-if="steps.length > 1" class="flex items-baseline gap-3 border-b border-ink pb-1">
            <b class="whitespace-nowrap">Step {{ number + 1 }}</b>
            <input
              class="field min-w-0 flex-1"
              placeholder="without a title"
              :value="step.title"
              :aria-label="`Title of step ${number + 1}`"
              @input="title(number, ($event.target as HTMLInputElement).value)"
            />
            <button
              v-if="number > 0"
              type="button"
              class="word text-[13.5px] whitespace-nowrap"
              @click="joinStep(number)"
            >
              to the one before
            </button>
          </p>
          <ol
            class="border-t border-ink"
            :class="{ 'border-t-0': steps.length > 1 }"
            :aria-label="`Fields of step ${number + 1}`"
          >
            <FieldRow
              v-for="(one, at) in step.fields"
              :key="one.name"
              :field="one"
              :step="number"
              :at="at"
              :chosen="chosen.step === number && chosen.at === at"
              :fault="isFaulty(number, at)"
              @choose="chosen = { step: number, at }"
              @move="(by) => void move(number, at, by)"
              @bring="(from, behind) => bring(from, number, at, behind)"
              @drop="drop(number, at)"
            />
          </ol>
          <p v-if="!step.fields.length" class="py-2 text-soft">Nothing is asked in this step yet.</p>
        </section>
        <p v-if="ofAll" class="mb-3 text-coral">It {{ ofAll }}.</p>
        <form class="flex flex-wrap items-end gap-x-4 gap-y-2" @submit.prevent="add">
          <label class="min-w-[170px] flex-1"
            ><span class="label block">Another field</span>
            <select v-model="adding" class="field">
              <option v-for="(kind, is) in fieldKinds" :key="is" :value="is">{{ kind.name }}</option>
            </select></label
          >
          <button class="word" :disabled="all.length >= MOST.fields">Add it</button>
          <button v-if="steps.length && steps.length < MOST.steps" type="button" class="word" @click="addStep">
            Add a step
          </button>
        </form>
      </div>
      <div v-if="field" class="min-w-0 border-rule md:border-l md:pl-7">
        <h3 class="mb-3 text-[16px] font-semibold">{{ fieldKinds[field.is].name }}</h3>
        <FieldEditor :field="field" :earlier="earlier" :faults="ownFaults" @set="change" />
      </div>
    </div>
  </Panel>
</template>
