<script setup lang="ts">
import { weekWords } from '@pebblestrand/core/hours'
import type { FoundSource } from '../../../api/types'
import { plural, shortAddress } from '../../../parts/address'
import TimeAgo from '../../../parts/TimeAgo.vue'

defineProps<{ found: FoundSource[]; used: string[]; busy: string | null }>()
const emit = defineEmits<{ take: [source: FoundSource] }>()
const formats: Record<string, string> = {
  rss: 'RSS',
  rdf: 'RSS 1.0',
  atom: 'Atom',
  json: 'JSON Feed',
  'json-ld': 'JSON-LD',
  microdata: 'microdata',
  rdfa: 'RDFa',
  'review-service': 'review service',
  'photo-service': 'photo service',
}
/** What it comes to and how many there are; one number where they are the same. */
function comesTo({ rating, count }: FoundSource): string {
  if (!rating) return plural(count, 'item')
  const all = `${rating.mean.toFixed(1)} of 5 from ${rating.count.toLocaleString()}`
  return rating.count === count ? all : `${all}, ${plural(count, 'item')}`
}
</script>

<template>
  <ul class="ledger border-t border-ink">
    <li v-for="feed in found" :key="feed.url" class="py-3">
      <div class="flex flex-wrap items-baseline gap-x-3">
        <h3 class="text-[16px] font-semibold">{{ feed.title }}</h3>
        <span class="text-[13px] text-soft"
          >{{ formats[feed.format] ?? feed.format }}, {{ comesTo(feed) }},
          {{ feed.address ?? shortAddress(feed.url, 44) }}</span
        >
        <span v-if="used.includes(feed.url)" class="ml-auto text-soft">in use</span>
        <button
          v-else
          type="button"
          class="word ml-auto"
          :aria-label="busy === feed.url ? undefined : `Take this: ${feed.title}`"
          :disabled="busy !== null"
          @click="emit('take', feed)"
        >
          {{ busy === feed.url ? 'Taking it …' : 'Take this' }}
        </button>
      </div>
      <ul class="mt-1 text-[14px]">
        <li v-for="item in feed.newest" :key="item.title" class="py-[1px]">
          {{ item.title }}
          <span v-if="item.publishedAt" class="text-[13px] text-soft"><TimeAgo :at="item.publishedAt" /></span>
        </li>
        <li v-if="feed.hours" class="py-[1px]">Open {{ weekWords(feed.hours.week) || 'on no day of the week' }}.</li>
        <li v-else-if="!feed.newest.length" class="text-soft">It has no items just now.</li>
      </ul>
    </li>
  </ul>
</template>
