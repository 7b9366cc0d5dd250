<script setup lang="ts">
import { duration } from '@pebblestrand/core/words'
import { computed } from 'vue'
import type { SiteDetail } from '../../api/types'
import PageWithRooms from '../../parts/PageWithRooms.vue'
import TimeAgo from '../../parts/TimeAgo.vue'

const props = defineProps<{ site: SiteDetail }>()
const emit = defineEmits<{ edit: []; read: [] }>()
/** "Portuguese (Brazil)", in the words of this person's own language. */
const languageName = (tag: string) => new Intl.DisplayNames(undefined, { type: 'language' }).of(tag) ?? tag
const assumed = computed(() => props.site.placements.filter(({ known }) => known === 'assumed').map(({ name }) => name))
const family = (css: string) => css.split(',')[0]!.replace(/"/g, '')
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
        <dd>{{ site.platform.name }}</dd>
      </div>
      <div v-if="site.look">
        <dt>Fonts</dt>
        <dd>{{ fonts }}</dd>
      </div>
      <div v-if="site.look">
        <dt>Colours</dt>
        <dd class="flex flex-wrap items-center gap-1">
          <span
            v-for="colour in [site.look.accent, site.look.text, site.look.background]"
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
      <div v-if="site.keeper">
        <dt>Looks after it</dt>
        <dd>{{ site.keeper }}</dd>
      </div>
    </dl>
    <p v-if="!site.look" class="mt-2 text-[13.5px] text-soft">
      Its fonts and colours are not noted yet: the stage shows widgets in plain ones.
    </p>
    <p v-if="assumed.length" class="mt-2 text-[13.5px] text-soft">
      The {{ assumed.length === 1 ? 'width' : 'widths' }} of {{ assumed.join(', ') }}
      {{ assumed.length === 1 ? 'is' : 'are' }} assumed: nobody has looked yet.
    </p>
    <button type="button" class="word mt-3 block text-[14px]" @click="emit('edit')">Correct what is noted</button>
    <button type="button" class="word mt-2 block text-[14px]" @click="emit('read')">Read it again</button>
    <template v-if="site.reading?.read?.picture">
      <PageWithRooms :reading-id="site.reading.id" :read="site.reading.read" class="mt-5 max-h-[420px]" />
      <p v-if="site.reading.at" class="mt-1 text-[13px] text-soft">
        Its first page, read <TimeAgo :at="site.reading.at" />
      </p>
    </template>
  </aside>
</template>
