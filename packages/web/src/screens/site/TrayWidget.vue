<script setup lang="ts">
import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { computed, onBeforeUnmount, ref, watchEffect } from 'vue'
import type { Placement, WidgetRow } from '../../api/types'
import { kindOf } from '@pebblestrand/core/kinds'
import { fitOf } from '../../parts/fit'

/** A widget in the tray: dragged into a placement, or placed by its menu. */
const props = defineProps<{ widget: WidgetRow; placements: Placement[] }>()
/** Over the page there is nothing to choose: it stands there or it does not. */
const overPage = computed(() => kindOf(props.widget.kind)?.presence?.(props.widget.settings)?.overPage ?? false)
const emit = defineEmits<{ lift: []; rest: []; place: [placement: Placement | null] }>()

const chip = ref<HTMLElement | null>(null)
let stop = () => {}
watchEffect(() => {
  stop()
  if (!chip.value || props.widget.release === null) return
  stop = draggable({
    element: chip.value,
    getInitialData: () => ({ widget: { ...props.widget } }),
    onDragStart: () => emit('lift'),
    onDrop: () => emit('rest'),
  })
})
onBeforeUnmount(() => stop())

/** M does what a click on the name does: the menu of placements. */
function onM(event: KeyboardEvent): void {
  if (event.key.toLowerCase() !== 'm' || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  ;(event.currentTarget as HTMLElement).click()
}
</script>

<template>
  <li
    ref="chip"
    class="relative border border-rule bg-sheet"
    :class="widget.release === null ? 'opacity-70' : 'cursor-grab active:cursor-grabbing'"
  >
    <span v-if="widget.release === null" class="block px-3 py-[6px]"
      >{{ widget.name }}
      <RouterLink :to="`/widgets/${widget.id}`" class="text-[13px] text-heather">draft</RouterLink></span
    >
    <Menu v-else>
      <MenuButton class="cursor-[inherit] px-3 py-[6px]" @keydown="onM">{{ widget.name }}</MenuButton>
      <MenuItems class="absolute top-full left-0 z-20 mt-1 w-[320px] border border-ink bg-sheet py-1 outline-none">
        <MenuItem v-if="overPage" v-slot="{ active }">
          <button
            type="button"
            class="block w-full cursor-pointer px-3 py-[6px] text-left leading-snug"
            :class="{ 'bg-sand': active }"
            @click="emit('place', null)"
          >
            <b>over this page</b>
          </button>
        </MenuItem>
        <MenuItem v-for="placement in overPage ? [] : placements" :key="placement.id" v-slot="{ active }">
          <button
            type="button"
            class="block w-full cursor-pointer px-3 py-[6px] text-left leading-snug"
            :class="{ 'bg-sand': active }"
            @click="emit('place', placement)"
          >
            <b>{{ placement.name }}</b>
            <span class="text-[13px] text-soft"
              >{{ placement.width }} px. {{ fitOf(widget.kind, widget.settings, placement.width)?.head }}</span
            >
          </button>
        </MenuItem>
      </MenuItems>
    </Menu>
  </li>
</template>
