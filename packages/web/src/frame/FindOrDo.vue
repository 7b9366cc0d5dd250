<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { routes } from '@pebblestrand/contract'
import { ask } from '../api/call'
import { asApiError } from '../api/error'
import { onKey } from '../keys/keys'
import { shortAddress } from '../parts/address'
import { onElsewhere } from '../parts/elsewhere'
import { commands } from './commands'
import { sayFault } from './notices'

interface Found {
  sort: 'site' | 'widget' | 'page' | 'install' | 'do'
  id: string
  name: string
  more: string
  siteId: string | null
}

const router = useRouter()
const words = ref('')
const found = ref<Found[]>([])
const looking = ref(false)
const box = ref<HTMLElement | null>(null)
let asked: AbortController | null = null

watch(words, async (now) => {
  asked?.abort()
  const text = now.trim()
  const has = (name: string) => text !== '' && name.toLowerCase().includes(text.toLowerCase())
  const own = commands
    .filter((d) => has(d.name))
    .map((d): Found => ({ sort: 'do', id: d.id, name: d.name, more: 'do', siteId: null }))
  // Until the answer is there: of what was found for other words only what has these, so that Enter never does something else.
  found.value = [...own, ...found.value.filter((f) => f.sort !== 'do' && has(f.name))]
  looking.value = text !== ''
  if (!text) return
  asked = new AbortController()
  const { signal } = asked
  const rows = await ask(routes.find.find, { query: { q: text } }, signal).then(
    (answer) => answer.rows,
    () => [],
  )
  if (signal.aborted) return
  found.value = [...own, ...rows]
  looking.value = false
})

/** Escape empties the field and closes the list; a press or the focus anywhere else closes it and leaves the words. */
const open = ref(false)
watch(words, (now) => (open.value = now.trim() !== ''))
function close(): void {
  words.value = ''
  open.value = false
}
onElsewhere(
  () => [box.value],
  () => (open.value = false),
)

onKey('/', () => box.value?.querySelector('input')?.focus())

async function go(choice: Found | null): Promise<void> {
  if (!choice) return
  words.value = ''
  found.value = []
  await nextTick()
  box.value?.querySelector('input')?.blur()
  if (choice.sort === 'do')
    return void commands
      .find((d) => d.id === choice.id)
      ?.run(router)
      .catch((e: unknown) => sayFault(asApiError(e)))
  const paths = {
    site: `/sites/${choice.id}`,
    widget: `/widgets/${choice.id}`,
    install: `/installs/${choice.id}`,
    page: `/installs?siteId=${choice.siteId}&pageId=${choice.id}`,
  }
  await router.push(paths[choice.sort])
}

const sorts = { site: 'site', widget: 'widget', page: 'page', install: 'install', do: 'do' }
</script>

<template>
  <div ref="box" class="relative">
    <Combobox :model-value="null" nullable @update:model-value="go">
      <div class="flex items-center border-b border-ink">
        <ComboboxInput
          class="w-full min-w-0 bg-transparent px-[2px] py-[7px] outline-none placeholder:text-soft"
          placeholder="Find or do"
          aria-label="Find or do"
          autocomplete="off"
          :display-value="() => words"
          @change="words = $event.target.value"
          @focus="open = words.trim() !== ''"
          @keydown.esc="close"
        />
        <kbd aria-hidden="true">/</kbd>
      </div>
      <ComboboxOptions
        v-if="open"
        static
        class="absolute right-0 left-0 z-30 mt-1 max-h-[420px] overflow-auto border border-ink bg-sheet py-1"
      >
        <ComboboxOption v-for="one in found" :key="one.sort + one.id" v-slot="{ active }" :value="one">
          <div class="flex cursor-pointer items-baseline gap-3 px-3 py-[6px]" :class="{ 'bg-sand': active }">
            <span class="w-[44px] shrink-0 text-[12px] text-soft">{{ sorts[one.sort] }}</span>
            <span class="min-w-0 flex-1">
              <b class="block truncate">{{ one.name }}</b>
              <span v-if="one.sort !== 'do' && one.more" class="block truncate text-[13px] text-soft">{{
                shortAddress(one.more, 38)
              }}</span>
            </span>
          </div>
        </ComboboxOption>
        <li v-if="!found.length" class="px-3 py-[6px] text-soft">
          {{ looking ? 'Looking …' : 'Nothing is called that.' }}
        </li>
      </ComboboxOptions>
    </Combobox>
  </div>
</template>
