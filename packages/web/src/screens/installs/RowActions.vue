<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Ellipsis } from '@lucide/vue'
import { fixedBeginning } from '@pebblestrand/core/page-patterns'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { asApiError } from '../../api/error'
import type { RegisterRow } from '../../api/types'
import { say, sayFault } from '../../frame/notices'
import { maySayPasted } from '../../parts/may-say-pasted'
import { checkInstall, markPasted, retireInstall } from '../../queries/installs'

const props = defineProps<{ row: RegisterRow }>()
const router = useRouter()

const attempt = (doing: Promise<unknown>) => void doing.catch((e: unknown) => sayFault(asApiError(e)))
const pasted = async () => {
  await markPasted(props.row.id)
  say(`${props.row.widget} is marked as pasted.`)
}

const actions = computed(() => [
  { name: 'Open', run: () => void router.push(`/installs/${props.row.id}`), may: true },
  { name: 'Check now', run: () => attempt(checkInstall(props.row.id)), may: props.row.status !== 'retired' },
  {
    name: 'Mark as pasted',
    run: () => attempt(pasted()),
    may: maySayPasted(props.row),
  },
  {
    name: 'Open the page',
    run: () => void open(props.row.origin + fixedBeginning(props.row.path), '_blank', 'noopener'),
    may: true,
  },
  {
    name: 'Retire',
    run: () => attempt(retireInstall(props.row.id)),
    may: props.row.status !== 'retired' && !props.row.retiring,
  },
])
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton
      data-actions
      class="grid size-6 cursor-pointer place-items-center text-soft"
      :aria-label="`Actions for ${row.widget} on ${row.site}, ${row.page}`"
      ><Ellipsis :size="17"
    /></MenuButton>
    <MenuItems class="absolute right-0 z-20 mt-1 w-[170px] border border-ink bg-sheet py-1 outline-none">
      <MenuItem v-for="action in actions.filter((a) => a.may)" :key="action.name" v-slot="{ active }">
        <button
          type="button"
          class="block w-full cursor-pointer px-3 py-[5px] text-left"
          :class="{ 'bg-sand': active }"
          @click="action.run()"
        >
          {{ action.name }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
