<script setup lang="ts">
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine'
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { attachClosestEdge, extractClosestEdge } from '@atlaskit/pragmatic-drag-and-drop-hitbox/closest-edge'
import { fieldKinds, type Field } from '@pebblestrand/core/forms'
import { GripVertical, X } from '@lucide/vue'
import { computed, onBeforeUnmount, ref, watchEffect } from 'vue'

/** One field in the order of its form: dragged, or moved by arrow keys on its handle; a press opens what is asked about it. */
const props = defineProps<{ field: Field; step: number; at: number; chosen: boolean; fault: boolean }>()
const emit = defineEmits<{
  choose: []
  /** By one, over the border of a step too. */
  move: [by: -1 | 1]
  /** Another was dropped before or behind this one. */
  bring: [from: { step: number; at: number }, behind: boolean]
  drop: []
}>()

const row = ref<HTMLElement | null>(null)
const handle = ref<HTMLElement | null>(null)
const edge = ref<'top' | 'bottom' | null>(null)
const named = computed(() => ('label' in props.field ? props.field.label || 'without words' : props.field.name))

let stop = () => {}
watchEffect(() => {
  stop()
  const [element, dragHandle] = [row.value, handle.value]
  if (!element || !dragHandle) return
  const place = { step: props.step, at: props.at }
  stop = combine(
    draggable({ element, dragHandle, getInitialData: () => ({ field: place }) }),
    dropTargetForElements({
      element,
      canDrop: ({ source }) => source.data.field !== undefined,
      getData: ({ input }) => attachClosestEdge({}, { element, input, allowedEdges: ['top', 'bottom'] }),
      onDrag: ({ self }) => (edge.value = extractClosestEdge(self.data) as typeof edge.value),
      onDragLeave: () => (edge.value = null),
      onDrop({ source, self }) {
        edge.value = null
        emit('bring', source.data.field as typeof place, extractClosestEdge(self.data) === 'bottom')
      },
    }),
  )
})
onBeforeUnmount(() => stop())

function onArrows(event: KeyboardEvent): void {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key] as -1 | 1 | undefined
  if (by === undefined) return
  event.preventDefault()
  emit('move', by)
}
</script>

<template>
  <li ref="row" class="relative flex items-center gap-1 border-b border-rule" :class="{ 'bg-sand': chosen }">
    <span v-if="edge" class="absolute inset-x-0 h-[2px] bg-tide" :class="edge === 'top' ? '-top-px' : '-bottom-px'" />
    <button
      ref="handle"
      type="button"
      class="grid size-7 shrink-0 cursor-grab place-items-center text-soft"
      :aria-label="`Move ${named}: with the arrow keys, or drag it`"
      :data-handle="field.name"
      @keydown="onArrows"
    >
      <GripVertical :size="15" />
    </button>
    <button
      type="button"
      class="min-w-0 flex-1 cursor-pointer py-[7px] text-left leading-snug"
      :aria-pressed="chosen"
      @click="emit('choose')"
    >
      <b class="block truncate" :class="{ 'text-coral': fault }">{{ named }}</b>
      <span class="block text-[13px] text-soft"
        >{{ fieldKinds[field.is].name }}<template v-if="'required' in field && field.required">, needed</template
        ><template v-if="'when' in field && field.when">, only sometimes</template
        ><template v-if="fault">, something is wrong with it</template></span
      >
    </button>
    <button
      type="button"
      class="grid size-7 shrink-0 cursor-pointer place-items-center"
      :aria-label="`Take out ${named}`"
      @click="emit('drop')"
    >
      <X :size="15" />
    </button>
  </li>
</template>
