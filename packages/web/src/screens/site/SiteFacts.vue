<script setup lang="ts">
import { duration } from '@pebblestrand/core/words'
import { statuses } from '@pebblestrand/core/verify/words'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { SiteDetail } from '../../api/types'
import { asApiError } from '../../api/error'
import { sayFault } from '../../frame/notices'
import { keepLook, planTag } from '../../queries/sites'
import PageWithRooms from '../../parts/PageWithRooms.vue'
import TimeAgo from '../../parts/TimeAgo.vue'

const props = defineProps<{ site: SiteDetail }>()
const router = useRouter()
/** One script on every page; it brings what is planned there, without pasting. */
const tag = () =>
  planTag(props.site.id)
    .then(({ id }) => router.push(`/installs/${id}`))
    .catch((e: unknown) => sayFault(asApiError(e)))
const emit = defineEmits<{ edit: []; read: []; look: [] }>()
const pieces: Record<string, string> = {
  accent: 'accent',
  text: 'text',
  background: 'background',
  button: 'buttons',
  bodyFont: 'text font',
  headingFont: 'heading font',
}
const shown = (value: string) => value.split(',')[0]!.replace(/["']/g, '')
const keep = () => keepLook(props.site.id).catch((e: unknown) => sayFault(asApiError(e)))
/** "Portuguese (Brazil)", in the words of this person's own language. */
const languageName = (tag: string) => new Intl.DisplayNames(undefined, { type: 'language' }).of(tag) ?? tag
const assumed = computed(() => props.site.placements.filter(({ known }) => known === 'assumed').map(({ name }) => name))
const family = (css: string) => css.split(',')[0]!.replace(/"/g, '')
const colours = computed(() => {
  const { accent, text, background, button } = props.site.look ?? {}
  return [...new Set([accent, text, background, button].filter((one) => one !== undefined))]
})
const fonts = computed(() =>
  props.site.look
    ? [...new Set([family(props.site.look.headingFont), family(props.site.look.bodyFont)])].join('; ')
    : null,
)
</script>

<template>
  <aside aria-labelledby="facts">
    <h2 id="facts" class="text-[17px] font-semibold">This site</h2>
    <dl
      class="ledger mt-1 border-t border-rule text-[14px] [&_dd]:pb-2 [&_dt]:pt-2 [&_dt]:text-[13.5px] [&_dt]:text-soft"
    >
      <div>
        <dt>Address</dt>
        <dd class="break-words">
          <a :href="site.origin" target="_blank" rel="noopener" class="text-ink underline underline-offset-3">{{
            site.origin.replace(/^https?:\/\//, '')
          }}</a>
        </dd>
      </div>
      <div>
        <dt>Platform</dt>
        <dd>
          <RouterLink :to="`/platforms/${site.platform.id}`" class="text-ink underline underline-offset-3">{{
            site.platform.name
          }}</RouterLink><template v-if="site.connector">, connector on</template>
        </dd>
      </div>
      <div v-if="site.look">
        <dt>Fonts</dt>
        <dd>{{ fonts }}</dd>
      </div>
      <div v-if="site.look">
        <dt>Colours</dt>
        <dd class="flex flex-wrap items-center gap-1">
          <span
            v-for="colour in colours"
            :key="colour"
            class="size-[14px] rounded-full border border-rule"
            :style="{ background: colour }"
            role="img"
            :aria-label="colour"
          />
          <span v-if="site.lookedAt" class="ml-1">noted <TimeAgo :at="site.lookedAt" /></span>
        </dd>
      </div>
      <div>
        <dt>Cache</dt>
        <dd>{{ site.cacheMinutes ? `keeps pages up to ${duration(site.cacheMinutes)}` : 'keeps no pages' }}</dd>
      </div>
      <div>
        <dt>Time zone</dt>
        <dd>{{ site.timeZone }}</dd>
      </div>
      <div v-if="site.language">
        <dt>Language</dt>
        <dd>{{ languageName(site.language) }}</dd>
      </div>
      <div>
        <dt>Site tag</dt>
        <dd>
          <template v-if="site.tag">
            <RouterLink :to="`/installs/${site.tag.installId}`" class="text-ink underline underline-offset-3">{{
              statuses[site.tag.status].name
            }}</RouterLink><template v-if="site.tag.of">
              on {{ site.tag.on }} of {{ site.tag.of }} {{ site.tag.of === 1 ? 'page' : 'pages' }} looked at</template
            >
          </template>
          <button v-else type="button" class="word text-[14px]" @click="tag">Plan the site tag</button>
        </dd>
      </div>
      <div v-if="site.keeper">
        <dt>Looks after it</dt>
        <dd>{{ site.keeper }}</dd>
      </div>
    </dl>
    <div v-if="site.lookChanges.length" class="mt-3 border-l-4 border-ochre pl-3 text-[14px]" role="status">
      <p><b>The site looks otherwise now.</b></p>
      <p v-for="change in site.lookChanges" :key="change.piece">
        Its {{ pieces[change.piece] ?? change.piece }}: {{ shown(change.before) }}, now {{ shown(change.after) }}.
      </p>
      <p class="flex gap-4">
        <button type="button" class="word" @click="emit('look')">Take its look</button>
        <button type="button" class="word plain" @click="keep">Keep what is noted</button>
      </p>
    </div>
    <p v-if="!site.look" class="mt-2 text-[13.5px] text-soft">
      Its fonts and colours are not noted yet: the stage shows widgets in plain ones.
    </p>
    <p v-if="assumed.length" class="mt-2 text-[13.5px] text-soft">
      The {{ assumed.length === 1 ? 'width' : 'widths' }} of {{ assumed.join(', ') }}
      {{ assumed.length === 1 ? 'is' : 'are' }} assumed: nobody has looked yet.
    </p>
    <button type="button" class="word mt-3 block text-[14px]" @click="emit('look')">Take the look of the site</button>
    <button type="button" class="word mt-2 block text-[14px]" @click="emit('edit')">Correct what is noted</button>
    <button type="button" class="word mt-2 block text-[14px]" @click="emit('read')">Read it again</button>
    <template v-if="site.reading?.read?.picture">
      <PageWithRooms :reading-id="site.reading.id" :read="site.reading.read" class="mt-5 max-h-[420px]" />
      <p v-if="site.reading.at" class="mt-1 text-[13px] text-soft">
        Its first page, read <TimeAgo :at="site.reading.at" />
      </p>
    </template>
  </aside>
</template>
