<script setup lang="ts">
import { computed } from 'vue'
import { useWorkbench } from '../../stores/workbench'
import type { ItemLine } from '../../rendering/bench-sieve'

/** Items as lines. What is shown can be put first or hidden, one by one; what was hidden by hand can be shown again. */
const props = defineProps<{ lines: ItemLine[]; total: number; named: string; none: string; arranging?: boolean }>()
const bench = useWorkbench()

const idsOf = (key: 'first' | 'hidden') => bench.settings[key] as string[] | undefined
/** Only kinds whose items are chosen by hand have these settings. */
const byHand = computed(() => idsOf('first') !== undefined && idsOf('hidden') !== undefined && bench.lookingAt === null)
const isFirst = (id: string) => idsOf('first')!.includes(id)
const isHidden = (id: string) => idsOf('hidden')!.includes(id)
const add = (key: 'first' | 'hidden', id: string) => bench.set(key, [...idsOf(key)!, id])
const drop = (key: 'first' | 'hidden', id: string) =>
  bench.set(
    key,
    idsOf(key)!.filter((other) => other !== id),
  )
/** Of kinds whose single items may lead elsewhere. */
const links = computed(() => bench.settings.ownLinks as { id: string; url: string }[] | undefined)
const hasLink = (id: string) => links.value?.some((link) => link.id === id) ?? false
const toggleLink = (id: string) =>
  bench.set(
    'ownLinks',
    hasLink(id) ? links.value!.filter((link) => link.id !== id) : [...links.value!, { id, url: '' }],
  )
const more = computed(() => props.total - props.lines.length)
</script>

<template>
  <div
    class="mt-3 max-h-[190px] overflow-auto border-t border-rule pt-2 text-[14px]"
    tabindex="0"
    role="region"
    :aria-label="named"
  >
    <p v-if="!lines.length" class="text-soft">{{ none }}</p>
    <ul>
      <li v-for="line in lines" :key="line.id" class="flex items-baseline gap-3 py-[2px]">
        <span class="min-w-0 flex-1 truncate" dir="auto">{{ line.title }}</span>
        <span class="shrink-0 text-soft">{{ line.at?.slice(0, 10) }}</span>
        <template v-if="byHand">
          <template v-if="arranging">
            <button
              type="button"
              class="word shrink-0"
              :aria-label="`${isFirst(line.id) ? 'Not first' : 'Put first'}: ${line.title}`"
              @click="isFirst(line.id) ? drop('first', line.id) : add('first', line.id)"
            >
              {{ isFirst(line.id) ? 'Not first' : 'Put first' }}
            </button>
            <button
              v-if="links"
              type="button"
              class="word plain shrink-0"
              :aria-label="`${hasLink(line.id) ? 'No own link' : 'Own link'}: ${line.title}`"
              @click="toggleLink(line.id)"
            >
              {{ hasLink(line.id) ? 'No own link' : 'Own link' }}
            </button>
            <button
              type="button"
              class="word plain shrink-0"
              :aria-label="`Hide: ${line.title}`"
              @click="add('hidden', line.id)"
            >
              Hide
            </button>
          </template>
          <button
            v-else-if="isHidden(line.id)"
            type="button"
            class="word shrink-0"
            :aria-label="`Show again: ${line.title}`"
            @click="drop('hidden', line.id)"
          >
            Show again
          </button>
        </template>
      </li>
    </ul>
    <p v-if="more > 0" class="text-soft">and {{ more.toLocaleString() }} more</p>
  </div>
</template>
