<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { useRouter } from 'vue-router'
import { shortcutsOpen } from '../keys/keys'
import { useSession } from '../stores/session'
import { chooseTheme, theme, themes } from './theme'

const session = useSession()
const router = useRouter()

const themeNames = { system: 'As the system says', light: 'Light', dark: 'Dark' }

async function leave(): Promise<void> {
  await session.signOut()
  await router.push('/sign-in')
}
const entries = [
  { name: 'Your account', run: () => void router.push('/account') },
  { name: 'Removed lately', run: () => void router.push('/removed') },
  { name: 'Keys', run: () => (shortcutsOpen.value = true) },
  { name: 'Sign out', run: () => void leave() },
]
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton
      class="grid size-[30px] cursor-pointer place-items-center rounded-full bg-sand text-[12px] font-bold text-ink"
      :aria-label="`${session.initials}, ${session.person?.name}: account and theme`"
    >
      {{ session.initials }}
    </MenuButton>
    <MenuItems class="absolute right-0 z-30 mt-2 w-[230px] border border-ink bg-sheet py-2 outline-none">
      <div class="px-4 pb-2">
        <b>{{ session.person?.name }}</b>
        <p class="text-[13px] text-soft">{{ session.agency }}</p>
      </div>
      <div class="border-t border-rule py-1">
        <MenuItem v-for="name in themes" :key="name" v-slot="{ active }">
          <button
            type="button"
            class="flex w-full cursor-pointer items-center gap-2 px-4 py-1 text-left"
            :class="{ 'bg-sand': active }"
            :aria-pressed="theme === name"
            @click="chooseTheme(name)"
          >
            <span class="w-4" aria-hidden="true">{{ theme === name ? '▸' : '' }}</span>{{ themeNames[name] }}
          </button>
        </MenuItem>
      </div>
      <div class="border-t border-rule pt-1">
        <MenuItem v-for="entry in entries" :key="entry.name" v-slot="{ active }">
          <button
            type="button"
            class="w-full cursor-pointer px-4 py-1 text-left"
            :class="{ 'bg-sand': active }"
            @click="entry.run()"
          >
            {{ entry.name }}
          </button>
        </MenuItem>
      </div>
    </MenuItems>
  </Menu>
</template>
