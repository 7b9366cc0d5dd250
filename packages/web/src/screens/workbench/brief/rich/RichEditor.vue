<script setup lang="ts">
import { completeAddress, LEADS_NOWHERE } from '@pebblestrand/core/addresses'
import { linkTarget } from '@pebblestrand/core/markup'
import { lengthOf, type RichText } from '@pebblestrand/core/rich-text'
import { Bold } from '@tiptap/extension-bold'
import { Document } from '@tiptap/extension-document'
import { HardBreak } from '@tiptap/extension-hard-break'
import { Italic } from '@tiptap/extension-italic'
import { Link } from '@tiptap/extension-link'
import { BulletList, ListItem, OrderedList } from '@tiptap/extension-list'
import { Paragraph } from '@tiptap/extension-paragraph'
import { Text } from '@tiptap/extension-text'
import { UndoRedo } from '@tiptap/extensions'
import { EditorContent, useEditor } from '@tiptap/vue-3'
import { Bold as BoldIcon, Italic as ItalicIcon, Link as LinkIcon, List, ListOrdered } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { asDocument, asText } from './as-document'

/** Paragraphs, lists, bold, italics and links, and nothing else. */
const props = defineProps<{ value: RichText; most: number; label: string }>()
const emit = defineEmits<{ set: [value: RichText]; ready: [] }>()
const link = ref<string | null>(null)
const wrong = ref(false)

const editor = useEditor({
  content: asDocument(props.value),
  extensions: [
    Document,
    Paragraph,
    Text,
    HardBreak,
    Bold,
    Italic,
    BulletList,
    OrderedList,
    ListItem.extend({ content: 'paragraph' }),
    Link.configure({ openOnClick: false, autolink: false, isAllowedUri: (url) => linkTarget(url) !== '' }),
    UndoRedo,
  ],
  editorProps: {
    attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': props.label, class: 'field min-h-[110px]' },
  },
  autofocus: 'end',
  onCreate: () => emit('ready'),
  onUpdate: ({ editor: now }) => emit('set', asText(now.getJSON())),
})
// Undone over the whole draft, or brought back: what is typed here at the moment is the same text already.
watch(
  () => props.value,
  (now) => {
    if (editor.value && JSON.stringify(asText(editor.value.getJSON())) !== JSON.stringify(now))
      editor.value.commands.setContent(asDocument(now), { emitUpdate: false })
  },
)
const left = computed(() => props.most - lengthOf(props.value))

const marks = [
  { name: 'bold', says: 'Bold', icon: BoldIcon, does: () => editor.value!.chain().focus().toggleBold().run() },
  { name: 'italic', says: 'Italics', icon: ItalicIcon, does: () => editor.value!.chain().focus().toggleItalic().run() },
  { name: 'bulletList', says: 'List', icon: List, does: () => editor.value!.chain().focus().toggleBulletList().run() },
  {
    name: 'orderedList',
    says: 'Numbered list',
    icon: ListOrdered,
    does: () => editor.value!.chain().focus().toggleOrderedList().run(),
  },
  { name: 'link', says: 'Link', icon: LinkIcon, does: () => openLink() },
]
function openLink(): void {
  wrong.value = false
  link.value = String(editor.value!.getAttributes('link').href ?? '')
}
function setLink(): void {
  const typed = link.value!.trim()
  const href = completeAddress(typed)
  wrong.value = typed !== '' && href === null
  if (wrong.value) return
  const chain = editor.value!.chain().focus().extendMarkRange('link')
  if (href) chain.setLink({ href }).run()
  else chain.unsetLink().run()
  link.value = null
}
</script>

<template>
  <div>
    <div v-if="editor" class="mb-1 flex gap-1" role="toolbar" :aria-label="`${label}: form`">
      <button
        v-for="mark in marks"
        :key="mark.name"
        type="button"
        class="grid size-7 cursor-pointer place-items-center border"
        :class="editor.isActive(mark.name) ? 'border-ink' : 'border-rule'"
        :aria-label="mark.says"
        :aria-pressed="editor.isActive(mark.name)"
        @click="mark.does()"
      >
        <component :is="mark.icon" :size="14" />
      </button>
    </div>
    <form v-if="link !== null" class="mb-2 flex items-end gap-3" @submit.prevent="setLink">
      <input
        v-model="link"
        class="field"
        :aria-label="`${label}: where the link leads`"
        :aria-invalid="wrong"
        placeholder="example.org or /page"
        @keydown.esc.stop="link = null"
      />
      <button class="word">{{ link.trim() ? 'Link' : 'No link' }}</button>
    </form>
    <p v-if="wrong" class="mb-1 text-coral" role="alert">It {{ LEADS_NOWHERE }}.</p>
    <EditorContent :editor="editor" class="rich max-h-[260px] overflow-auto" />
    <p v-if="left < 200" class="mt-1 text-[13px]" :class="left < 0 ? 'text-coral' : 'text-soft'">
      {{ left }} letters are left.
    </p>
  </div>
</template>

<style scoped>
.rich :deep(ul) {
  list-style: disc;
  padding-left: 1.2em;
}
.rich :deep(ol) {
  list-style: decimal;
  padding-left: 1.4em;
}
.rich :deep(a) {
  text-decoration: underline;
}
.rich :deep(p) {
  margin-bottom: 0.4em;
}
</style>
