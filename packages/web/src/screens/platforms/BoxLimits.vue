<script setup lang="ts">
import type { EditorBox } from '@pebblestrand/core/platforms'

/** Who may use a box, how much it takes, and what has to be known of it. */
const box = defineModel<EditorBox>({ required: true })
defineProps<{ fault: string; locked: boolean }>()
/** An empty field says that there is no limit. */
const setMost = (event: Event) => {
  const typed = (event.target as HTMLInputElement).value.trim()
  box.value.most = typed === '' ? null : Number(typed)
}
const setNote = (event: Event) => (box.value.note = (event.target as HTMLInputElement).value.trim() || null)
</script>

<template>
  <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1 text-[13.5px] text-soft">
    <label
      >used by
      <select
        v-model="box.who"
        class="field w-auto text-ink disabled:appearance-none disabled:border-transparent disabled:px-0"
        :aria-label="`${box.name}, who may use it`"
      >
        <option value="editors">whoever writes there</option>
        <option value="owners">the site’s owner alone</option>
      </select></label
    >
    <label
      >quotes come out
      <select
        v-model="box.quotes"
        class="field w-auto text-ink disabled:appearance-none disabled:border-transparent disabled:px-0"
        :aria-label="`${box.name}, quotes`"
      >
        <option>straight</option>
        <option>typographic</option>
      </select></label
    >
    <label v-if="!locked || box.most"
      >takes at most
      <input
        class="field w-[92px] text-ink disabled:border-transparent disabled:px-0"
        type="number"
        min="50"
        placeholder="no limit"
        :value="box.most ?? ''"
        :aria-label="`${box.name}, letters at most`"
        @change="setMost"
      />
      letters</label
    >
    <label v-if="!locked || box.everyPage"
      ><input v-model="box.everyPage" type="checkbox" class="accent-kelp" /> on every page</label
    >
    <label v-if="!locked" class="flex min-w-[260px] flex-1 items-baseline gap-2"
      >note
      <input
        class="field min-w-0 flex-1 text-ink"
        :value="box.note ?? ''"
        :aria-label="`${box.name}, note`"
        maxlength="300"
        @change="setNote"
    /></label>
    <span v-else-if="box.note">{{ box.note }}</span>
    <p v-if="fault" class="w-full text-coral" role="alert">{{ fault }}</p>
  </div>
</template>
