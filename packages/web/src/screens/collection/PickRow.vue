<script setup lang="ts">
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine'
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { attachClosestEdge, extractClosestEdge } from '@atlaskit/pragmatic-drag-and-drop-hitbox/closest-edge'
import { getReorderDestinationIndex } from '@atlaskit/pragmatic-drag-and-drop-hitbox/util/get-reorder-destination-index'
import { ArrowDown, ArrowUp, GripVertical } from '@lucide/vue'
import { computed, onBeforeUnmount, ref, watchEffect } from 'vue'
import type { Entry } from '../../api/types'
import { shortAddress } from '../../parts/address'

/** One pick: its cover, what is said of it, and what can be done with it. */
const props = defineProps<{ entry: Entry; at: number; count: number; movable: boolean }>()
const emit = defineEmits<{
  /** To a place counted without it; which of its buttons has the focus afterwards. */
  move: [to: number, focus: 'up' | 'down' | 'lift']
  /** Another was dragged here. */
  bring: [key: string, to: number]
  correct: []
  drop: []
}>()

const row = ref<HTMLElement | null>(null)
const handle = ref<HTMLElement | null>(null)
const edge = ref<'top' | 'bottom' | null>(null)
const lifted = ref(false)
const pick = computed(() => (props.entry.body.type === 'pick' ? props.entry.body : null))
const cover = computed(() => {
  const { url, own } = pick.value?.picture ?? {}
  return own ? `${own.base}-${own.widths[0]}.jpg` : url
})

let stop = () => {}
watchEffect(() => {
  stop()
  const [element, dragHandle] = [row.value, handle.value]
  if (!element || !dragHandle || !props.movable) return
  const { key } = props.entry
  stop = combine(
    draggable({
      element,
      dragHandle,
      getInitialData: () => ({ pick: key, at: props.at }),
      onDragStart: () => (lifted.value = true),
      onDrop: () => (lifted.value = false),
    }),
    dropTargetForElements({
      element,
      canDrop: ({ source }) => source.data.pick !== undefined && source.data.pick !== key,
      getData: ({ input }) => attachClosestEdge({}, { element, input, allowedEdges: ['top', 'bottom'] }),
      onDrag: ({ self }) => (edge.value = extractClosestEdge(self.data) as typeof edge.value),
      onDragLeave: () => (edge.value = null),
      onDrop({ source, self }) {
        edge.value = null
        const to = getReorderDestinationIndex({
          startIndex: source.data.at as number,
          indexOfTarget: props.at,
          closestEdgeOfTarget: extractClosestEdge(self.data),
          axis: 'vertical',
        })
        emit('bring', source.data.pick as string, to)
      },
    }),
  )
})
onBeforeUnmount(() => stop())

function onArrows(event: KeyboardEvent): void {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  const end = { Home: 0, End: props.count - 1 }[event.key]
  if (by === undefined && end === undefined) return
  event.preventDefault()
  emit('move', end ?? props.at + by!, 'lift')
}
const face = 'grid size-6 shrink-0 cursor-pointer place-items-center disabled:opacity-30'
</script>

<template>
  <li
    ref="row"
    class="relative flex items-start gap-3 border-b border-rule bg-paper py-3"
    :class="{ 'opacity-40': lifted }"
    data-thing
  >
    <span
      v-if="edge"
      class="absolute inset-x-0 h-[3px] bg-kelp"
      :class="edge === 'top' ? '-top-[2px]' : '-bottom-[2px]'"
      aria-hidden="true"
    />
    <span v-if="movable" class="flex shrink-0 flex-col items-center">
      <button
        type="button"
        :class="face"
        :aria-label="`Move up: ${entry.body.title}`"
        :disabled="at === 0"
        data-do="up"
        @click="emit('move', at - 1, 'up')"
      >
        <ArrowUp :size="14" />
      </button>
      <button
        ref="handle"
        type="button"
        class="grid size-6 shrink-0 cursor-grab place-items-center active:cursor-grabbing"
        :aria-label="`Move: ${entry.body.title}`"
        aria-description="Drag it, or use the arrow keys."
        data-do="lift"
        @keydown="onArrows"
      >
        <GripVertical :size="14" />
      </button>
      <button
        type="button"
        :class="face"
        :aria-label="`Move down: ${entry.body.title}`"
        :disabled="at === count - 1"
        data-do="down"
        @click="emit('move', at + 1, 'down')"
      >
        <ArrowDown :size="14" />
      </button>
    </span>
    <span class="h-[64px] w-[84px] shrink-0 overflow-hidden bg-sand">
      <img v-if="cover" :src="cover" alt="" class="h-full w-full object-cover" loading="lazy" draggable="false" />
    </span>
    <div class="min-w-0 flex-1">
      <b class="break-words" dir="auto">{{ entry.body.title }}</b>
      <p v-if="entry.body.text" class="line-clamp-2 text-[14px]" dir="auto">{{ entry.body.text }}</p>
      <p class="text-[13px] break-words text-soft">
        <a v-if="entry.link" :href="entry.link" class="text-soft" target="_blank" rel="noreferrer">{{
          pick?.site || shortAddress(entry.link, 44)
        }}</a>
        <template v-else>{{ pick?.site || 'leads nowhere' }}</template>
        <template v-if="entry.publishedAt"> · {{ entry.publishedAt.slice(0, 10) }}</template>
        <template v-if="entry.labels.length"> · {{ entry.labels.join(', ') }}</template>
      </p>
    </div>
    <p class="flex shrink-0 flex-col items-end sm:flex-row sm:gap-3">
      <button type="button" class="word" :aria-label="`Correct: ${entry.body.title}`" @click="emit('correct')">
        Correct
      </button>
      <button type="button" class="word plain" :aria-label="`Take out: ${entry.body.title}`" @click="emit('drop')">
        Take out
      </button>
    </p>
  </li>
</template>
