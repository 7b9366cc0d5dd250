<script setup lang="ts">
import type { SnippetOptions } from '@pebblestrand/contract'
import { methods, openerLooks, textForms, type OpenerLook, type TextForm } from '@pebblestrand/core/methods'
import { computed, ref } from 'vue'
import { asApiError } from '../../api/error'
import type { InstallDetail } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { changeInstall } from '../../queries/installs'

/** How the snippet is written; kept with the install, so that whoever looks at it later gets the same text. */
const props = defineProps<{ install: InstallDetail }>()
const isOpen = ref(false)
const options = computed(() => props.install.snippetOptions)
const needs = computed(() => methods[props.install.method].needs as readonly string[])
const hasScript = computed(
  () => needs.value.includes('script') || (props.install.method === 'frame' && options.value.grows),
)
const isCode = computed(() => !needs.value.includes('address') && !needs.value.includes('shortcode'))

const set = (change: SnippetOptions) =>
  changeInstall(props.install.id, { snippetOptions: { ...options.value, ...change } }).catch((e: unknown) =>
    sayFault(asApiError(e)),
  )
const opens = computed(() => options.value.opens ?? { by: 'link' as const })
const setOpens = (change: Partial<NonNullable<SnippetOptions['opens']>>) =>
  set({ opens: { ...opens.value, ...change } })
const looks = Object.entries(openerLooks) as [OpenerLook, string][]
const forms = Object.entries(textForms) as [TextForm, { name: string }][]
</script>

<template>
  <div v-if="isCode || install.method === 'link'" class="text-[14px]">
    <button type="button" class="word text-[14px]" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      How it is written
    </button>
    <div v-if="isOpen" class="mt-2 grid gap-2 border-l-2 border-rule pl-3 text-soft">
      <label v-if="isCode" class="flex items-baseline gap-2"
        >Set
        <select
          class="field w-auto"
          :value="options.form ?? 'lines'"
          @change="set({ form: ($event.target as HTMLSelectElement).value as TextForm })"
        >
          <option v-for="[id, { name }] in forms" :key="id" :value="id">{{ name }}</option>
        </select>
      </label>
      <label v-if="isCode" class="flex items-baseline gap-2"
        ><input
          type="checkbox"
          class="accent-kelp"
          :checked="!options.unsigned"
          @change="set({ unsigned: !($event.target as HTMLInputElement).checked })"
        />
        With a comment that says what it is and who put it there</label
      >
      <template v-if="install.method === 'opener'">
        <label class="flex items-baseline gap-2"
          >Opened by
          <select
            class="field w-auto"
            :value="opens.by"
            @change="setOpens({ by: ($event.target as HTMLSelectElement).value as OpenerLook })"
          >
            <option v-for="[id, name] in looks" :key="id" :value="id">{{ name }}</option>
          </select>
        </label>
        <label class="flex items-baseline gap-2"
          >that says
          <input
            class="field w-56"
            maxlength="100"
            :placeholder="install.widget"
            :value="opens.words ?? ''"
            @change="setOpens({ words: ($event.target as HTMLInputElement).value })"
        /></label>
        <label v-if="opens.by === 'picture'" class="flex items-baseline gap-2"
          >Address of the picture
          <input
            class="field min-w-0 flex-1"
            type="url"
            placeholder="https://"
            :value="opens.picture ?? ''"
            @change="setOpens({ picture: ($event.target as HTMLInputElement).value.trim() })"
        /></label>
        <p v-if="opens.by === 'attribute'">
          Give whatever is to be pressed the attribute that stands in the first tag; the script goes anywhere on that
          page.
        </p>
      </template>
      <label v-if="install.method === 'picture'" class="flex items-baseline gap-2"
        ><input
          type="checkbox"
          class="accent-kelp"
          :checked="options.drawing"
          @change="set({ drawing: ($event.target as HTMLInputElement).checked })"
        />
        As a drawing (SVG), sharp at any size; mails show only the other one</label
      >
      <label v-if="install.method === 'frame'" class="flex items-baseline gap-2"
        ><input
          type="checkbox"
          class="accent-kelp"
          :checked="options.grows"
          @change="set({ grows: ($event.target as HTMLInputElement).checked })"
        />
        As high as what is in it, by a script beside it. Where scripts are stripped it keeps the height it is
        given.</label
      >
      <label v-if="hasScript" class="flex items-baseline gap-2"
        ><input
          type="checkbox"
          class="accent-kelp"
          :checked="options.pinned"
          @change="set({ pinned: ($event.target as HTMLInputElement).checked })"
        />
        With one version of the script and its integrity value, for sites that ask for it. It stays as it is until you
        paste a newer one.</label
      >
      <label v-if="hasScript" class="flex flex-wrap items-baseline gap-x-2"
        >Nonce
        <input
          class="field w-56"
          maxlength="100"
          spellcheck="false"
          autocomplete="off"
          :value="options.nonce ?? ''"
          @change="set({ nonce: ($event.target as HTMLInputElement).value })"
        />
        <span class="w-full"
          >What the site’s templates write where its policy’s nonce belongs. Empty for most.</span
        ></label
      >
      <label v-if="install.method === 'link'" class="flex items-baseline gap-2"
        ><input
          type="checkbox"
          class="accent-kelp"
          :checked="options.indexed"
          @change="set({ indexed: ($event.target as HTMLInputElement).checked })"
        />
        The page behind it may stand in search engines</label
      >
    </div>
  </div>
</template>
