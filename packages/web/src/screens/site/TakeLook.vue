<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { SiteDetail } from '../../api/types'
import { asApiError, type ApiError } from '../../api/error'
import { say } from '../../frame/notices'
import Fault from '../../parts/Fault.vue'
import Panel from '../../parts/Panel.vue'
import { readLook, takeLook } from '../../queries/sites'
import { piecesOf, type Piece } from './look-pieces'
import Specimen from './Specimen.vue'

/** What a page of the site looks like, each piece with where it was read; taken whole or piece by piece. */
const props = defineProps<{ site: SiteDetail }>()
const emit = defineEmits<{ close: [] }>()

const address = ref('')
const reading = shallowRef<Awaited<ReturnType<typeof readLook>> | null>(null)
const error = ref<ApiError | null>(null)
const busy = ref(false)
const left = ref(new Set<Piece['name']>())
const pieces = computed(() => (reading.value ? piecesOf(reading.value.look, props.site.look) : []))
const chosen = computed(() => pieces.value.filter(({ name }) => !left.value.has(name)))

async function during(work: () => Promise<void>): Promise<void> {
  busy.value = true
  error.value = null
  try {
    await work()
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    busy.value = false
  }
}
const look = () =>
  during(async () => {
    reading.value = await readLook(props.site.id, address.value.trim())
    left.value = new Set()
  })
function choose(name: Piece['name'], taken: boolean): void {
  const next = new Set(left.value)
  if (taken) next.delete(name)
  else next.add(name)
  left.value = next
}
const take = () =>
  during(async () => {
    const values = Object.fromEntries(chosen.value.map(({ name, value }) => [name, value]))
    const { contentWidth, ...rest } = values as Record<string, string | number>
    await takeLook(props.site.id, {
      pieces: rest,
      ...(contentWidth ? { contentWidth: Number(contentWidth) } : {}),
      ...(rest.bodyFont || rest.headingFont ? { fontFaces: reading.value!.look.fontFaces } : {}),
    })
    say('The look is noted.', { remedy: 'Widgets that take the site’s own follow it.' })
    emit('close')
  })
</script>

<template>
  <Panel :open="true" title="Take the look of the site" wide @close="emit('close')">
    <form class="flex flex-wrap items-baseline gap-3" @submit.prevent="look">
      <label for="look-address" class="label">Page</label>
      <span class="text-[14px] text-soft">{{ site.origin.replace(/^https?:\/\//, '') }}</span>
      <input id="look-address" v-model="address" class="field w-[200px]" placeholder="/" spellcheck="false" />
      <button :class="reading ? 'word' : 'act'" :disabled="busy">{{ reading ? 'Look again' : 'Look at it' }}</button>
    </form>
    <p v-if="busy" class="mt-3 text-soft" role="status">{{ reading ? 'One moment …' : 'Looking at the page …' }}</p>
    <Fault v-if="error" :error="error" class="mt-3" />
    <template v-if="reading && !busy">
      <p class="mt-3 text-[14px] text-soft">
        {{
          reading.how === 'browser'
            ? 'As a browser draws it.'
            : 'From its style sheets: there is no browser here to draw it.'
        }}
        Leave out what you do not want.
      </p>
      <div class="mt-3 grid gap-6 sm:grid-cols-[minmax(0,1fr)_260px]">
        <ul class="ledger border-y border-rule">
          <li v-for="piece in pieces" :key="piece.name">
            <label class="flex cursor-pointer items-baseline gap-3 py-[6px] text-[14px]">
              <input
                type="checkbox"
                class="accent-kelp"
                :checked="!left.has(piece.name)"
                @change="choose(piece.name, ($event.target as HTMLInputElement).checked)"
              />
              <span class="w-[112px] shrink-0 text-soft">{{ piece.label }}</span>
              <span class="min-w-0 flex-1 break-words">
                <span
                  v-if="piece.isColour"
                  class="mr-1 inline-block size-[12px] border border-soft align-baseline"
                  :style="{ background: String(piece.value) }"
                  aria-hidden="true"
                /><b>{{ piece.says }}</b>
                <span class="block text-[13px] text-soft"
                  >{{ piece.from }}<template v-if="piece.before">; noted: {{ piece.before }}</template></span
                >
              </span>
            </label>
          </li>
        </ul>
        <Specimen :look="reading.look" />
      </div>
      <button type="button" class="act mt-4" :disabled="!chosen.length" @click="take">
        {{ chosen.length === pieces.length ? 'Take all of it' : `Take ${chosen.length} of ${pieces.length}` }}
      </button>
    </template>
  </Panel>
</template>
