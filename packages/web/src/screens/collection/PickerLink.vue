<script setup lang="ts">
import { ref } from 'vue'
import { copyText } from '../../parts/clipboard'
import { bookmarklet } from './bookmarklet'

/** A bookmark for the browser's own bar, by which a page is picked while one reads it. */
const href = bookmarklet(`${location.origin}/pick`)
const told = ref('')
const say = () => (told.value = 'Drag it to your browser’s bookmarks: there it picks the page you are reading.')
const take = () => copyText(href, 'Copied. Make a bookmark in your browser with this as its address.')
</script>

<template>
  <section aria-labelledby="while-reading">
    <h2 id="while-reading" class="label font-sans tracking-normal">While you read</h2>
    <p class="mt-1 text-[13.5px] leading-[1.45] text-soft">
      Drag this to your browser’s bookmarks. On any page it opens a small window with the page filled in.
    </p>
    <p class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
      <a
        :href="href"
        class="inline-block border border-dashed border-ink px-3 py-1 text-ink no-underline"
        @click.prevent="say"
        >Pick this page</a
      >
      <button type="button" class="word" @click="take">Copy it instead</button>
    </p>
    <p v-if="told" class="mt-2 text-[13.5px]" role="status">{{ told }}</p>
  </section>
</template>
