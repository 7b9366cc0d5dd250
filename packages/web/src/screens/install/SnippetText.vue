<script setup lang="ts">
import { computed } from 'vue'
import { snippetParts } from './snippet-parts'

/** The exact text to paste, in one piece for the clipboard, coloured and broken between attributes for the eye. */
const props = defineProps<{ text: string }>()
const parts = computed(() => snippetParts(props.text))
const colours: Record<string, string> = {
  comment: 'text-soft italic',
  tag: 'text-tide',
  name: 'text-heather',
  value: 'text-kelp',
  text: '',
}
</script>

<template>
  <pre
    class="border border-l-[3px] border-rule border-l-ink bg-sheet px-3 py-[10px] text-[13px] leading-[1.55] whitespace-pre-wrap [overflow-wrap:anywhere]"
    tabindex="0"
    aria-label="The snippet"
  ><template v-for="(part, index) in parts" :key="index"><span v-if="part.whole" class="inline-block max-w-full align-top"><span v-for="(piece, at) in part.pieces" :key="at" :class="colours[piece.sort]">{{ piece.text }}</span></span><template v-else><span v-for="(piece, at) in part.pieces" :key="at" :class="colours[piece.sort]">{{ piece.text }}</span></template></template></pre>
</template>
