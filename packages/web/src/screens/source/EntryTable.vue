<script setup lang="ts">
import { asApiError } from '../../api/error'
import type { Entry, SourceDetail } from '../../api/types'
import { sayFault, say } from '../../frame/notices'
import { dropReview, putReview } from '../../queries/sources'
import { typedOf } from './typed'

/** What a source holds, a line an item; what is kept here can be corrected and taken out. */
const props = defineProps<{ source: SourceDetail; entries: Entry[] }>()
const emit = defineEmits<{ correct: [entry: Entry] }>()

const starsOf = ({ body }: Entry) => (body.type === 'review' ? body.rating : null)
const replyOf = ({ body }: Entry) => (body.type === 'review' ? body.reply : null)

/** Where there is no room for columns. */
const headOf = (entry: Entry) =>
  [entry.author, entry.publishedAt?.slice(0, 10), starsOf(entry) === null ? '' : `${starsOf(entry)} of 5`]
    .filter(Boolean)
    .join(', ')

async function drop({ key }: Entry): Promise<void> {
  try {
    const was = await dropReview(props.source.id, key)
    say('The review is taken out.', { undo: () => void putReview(props.source.id, typedOf(was)) })
  } catch (e) {
    sayFault(asApiError(e))
  }
}
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full border-t sm:min-w-[560px] border-ink text-[14px]">
      <thead>
        <tr class="border-b border-rule text-left align-baseline">
          <th scope="col" class="label hidden w-[96px] py-2 pr-4 sm:table-cell">Date</th>
          <th scope="col" class="label hidden w-[150px] py-2 pr-4 sm:table-cell">Author</th>
          <th v-if="source.gives.includes('review')" scope="col" class="label hidden w-[52px] py-2 pr-4 sm:table-cell">
            Stars
          </th>
          <th scope="col" class="label py-2 pr-4">{{ source.gives.includes('review') ? 'What was said' : 'Title' }}</th>
          <th v-if="source.keptHere" scope="col" class="w-[70px] sm:w-[120px]"><span class="sr-only">Correct</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="entry in entries" :key="entry.key" class="border-b border-rule align-baseline" data-thing>
          <td class="hidden py-2 pr-4 whitespace-nowrap text-soft sm:table-cell">
            {{ entry.publishedAt?.slice(0, 10) ?? 'no date' }}
          </td>
          <td class="hidden py-2 pr-4 break-words sm:table-cell">{{ entry.author ?? '' }}</td>
          <td v-if="source.gives.includes('review')" class="hidden py-2 pr-4 sm:table-cell">
            {{ starsOf(entry) ?? '–' }}
          </td>
          <td class="py-2 pr-4">
            <span class="block text-[13px] text-soft sm:hidden">{{ headOf(entry) }}</span>
            <b v-if="entry.body.title" dir="auto">{{ entry.body.title }}<br /></b>
            <span class="line-clamp-3" dir="auto" :lang="entry.language ?? undefined">{{ entry.body.text }}</span>
            <span v-if="!entry.body.text && !entry.body.title" class="text-soft">no words</span>
            <span v-if="replyOf(entry)" class="mt-1 line-clamp-2 border-l-2 border-rule pl-2 text-soft" dir="auto">{{
              replyOf(entry)!.text
            }}</span>
          </td>
          <td v-if="source.keptHere" class="py-2 text-right sm:whitespace-nowrap">
            <button
              type="button"
              class="word"
              :aria-label="`Correct: ${entry.author ?? 'nobody named'}`"
              @click="emit('correct', entry)"
            >
              Correct
            </button>
            <button
              type="button"
              class="word plain sm:ml-3"
              :aria-label="`Take out: ${entry.author ?? 'nobody named'}`"
              @click="drop(entry)"
            >
              Take out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
