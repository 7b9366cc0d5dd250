<script setup lang="ts">
import {
  addressFates,
  boxPlaces,
  markupFates,
  partIds,
  shortcodeFates,
  snippetParts,
  type PlatformProfile,
  type SnippetPart,
} from '@pebblestrand/core/platforms'
import BoxLimits from './BoxLimits.vue'

/** Boxes by what they do to each part of a snippet, and what they take at all. */
defineProps<{ about: (field: string) => string; locked: boolean }>()
const profile = defineModel<PlatformProfile>({ required: true })
const fatesOf = (part: SnippetPart): readonly string[] =>
  part === 'address' ? addressFates : part === 'shortcode' ? shortcodeFates : markupFates
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
/** A select's value is words; which words it may have stands in its options. */
const set = (box: PlatformProfile['boxes'][number], part: SnippetPart, event: Event) =>
  Object.assign(box.treats, { [part]: (event.target as HTMLSelectElement).value })
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full min-w-[900px] border-y border-rule text-[14px]">
      <thead>
        <tr class="border-b border-rule text-left text-[13.5px] text-soft">
          <th scope="col" class="py-2 pr-3 font-normal">Box</th>
          <th scope="col" class="py-2 pr-3 font-normal">Where</th>
          <th v-for="part in partIds" :key="part" scope="col" class="py-2 pr-3 font-normal">
            {{ capital(snippetParts[part]) }}
          </th>
        </tr>
      </thead>
      <tbody v-for="(box, at) in profile.boxes" :key="box.id" class="border-b border-rule last:border-0">
        <tr class="align-top">
          <th scope="row" class="max-w-[230px] py-2 pr-3 text-left font-semibold">
            <input
              v-model="box.name"
              class="field w-full disabled:border-transparent disabled:px-0"
              :aria-label="`Name of the box ${box.name}`"
              maxlength="60"
            />
            <span v-if="box.ownFrame" class="block text-[13px] font-normal text-soft"
              >in a frame of its own{{
                box.ownFrame.sandbox ? `: ${box.ownFrame.sandbox.join(' ') || 'nothing allowed'}` : ''
              }}</span
            >
          </th>
          <td class="py-2 pr-3">
            <label
              v-for="place in boxPlaces"
              :key="place"
              class="mr-2 inline-flex items-baseline gap-1 whitespace-nowrap"
              ><input v-model="box.places" type="checkbox" :value="place" class="accent-kelp" />{{ place }}</label
            >
          </td>
          <td v-for="part in partIds" :key="part" class="py-2 pr-3">
            <select
              class="field w-auto disabled:appearance-none disabled:border-transparent disabled:px-0"
              :value="box.treats[part]"
              :aria-label="`${box.name}, ${snippetParts[part]}`"
              @change="set(box, part, $event)"
            >
              <option v-for="fate in fatesOf(part)" :key="fate">{{ fate }}</option>
            </select>
          </td>
        </tr>
        <tr>
          <td :colspan="2 + partIds.length" class="pr-3 pb-3">
            <BoxLimits
              v-model="profile.boxes[at]!"
              :fault="about(`profile.boxes.${at}.most`) || about(`profile.boxes.${at}.note`)"
              :locked="locked"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
