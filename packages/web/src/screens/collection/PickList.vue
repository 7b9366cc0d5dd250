<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import { asApiError } from '../../api/error'
import type { Entry } from '../../api/types'
import { say, sayFault } from '../../frame/notices'
import { dropPick, movePick, putPick } from '../../queries/picks'
import { formOf, typedOf } from './pick-form'
import PickRow from './PickRow.vue'

/** The picks of a collection in their order, which is changed by dragging, by buttons, or by arrow keys. */
const props = defineProps<{
  collectionId: string
  entries: Entry[]
  /** Place of the first among all. */
  from: number
  total: number
  /** Not while only some are in sight. */
  movable: boolean
}>()
const emit = defineEmits<{ correct: [entry: Entry] }>()

/** As a person has just put them, until the server says the same. */
const shown = ref(props.entries)
watch(
  () => props.entries,
  (entries) => (shown.value = entries),
)
const list = ref<HTMLElement | null>(null)
const told = ref('')

/** @param to place among those in sight, counted without it */
async function move(key: string, to: number, focus?: string): Promise<void> {
  const entry = shown.value.find((one) => one.key === key)
  const others = shown.value.filter((one) => one.key !== key)
  if (!entry || to < 0 || to > others.length || shown.value.indexOf(entry) === to) return
  shown.value = [...others.slice(0, to), entry, ...others.slice(to)]
  told.value = `${entry.body.title} is at ${props.from + to + 1} of ${props.total}.`
  if (focus) {
    await nextTick() // what is moved about in the page loses the focus
    const row = list.value?.children[to]
    const again = row?.querySelector<HTMLButtonElement>(`[data-do=${focus}]:not(:disabled)`)
    ;(again ?? row?.querySelector<HTMLElement>('[data-do=lift]'))?.focus()
  }
  try {
    await movePick(props.collectionId, key, props.from + to)
  } catch (error) {
    shown.value = props.entries
    sayFault(asApiError(error))
  }
}

async function drop({ key }: Entry): Promise<void> {
  try {
    const { entry, at } = await dropPick(props.collectionId, key)
    const back = { ...typedOf(formOf(entry), key), at }
    say('The pick is taken out.', {
      undo: () => void putPick(props.collectionId, back).catch((e: unknown) => sayFault(asApiError(e))),
    })
  } catch (e) {
    sayFault(asApiError(e))
  }
}
</script>

<template>
  <div>
    <ol ref="list" class="border-t border-ink">
      <PickRow
        v-for="(entry, at) in shown"
        :key="entry.key"
        :entry="entry"
        :at="at"
        :count="shown.length"
        :movable="movable"
        @move="(to, focus) => move(entry.key, to, focus)"
        @bring="(key, to) => move(key, to)"
        @correct="emit('correct', entry)"
        @drop="drop(entry)"
      />
    </ol>
    <p class="sr-only" aria-live="polite">{{ told }}</p>
  </div>
</template>
