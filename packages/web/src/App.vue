<script setup lang="ts">
import { computed } from 'vue'
import { RouterView, useRoute } from 'vue-router'
import Notices from './frame/Notices.vue'
import Shortcuts from './frame/Shortcuts.vue'
import TopLine from './frame/TopLine.vue'
import { listenForKeys } from './keys/keys'
import { useSession } from './stores/session'

const session = useSession()
const route = useRoute()
const inside = computed(() => session.person !== null && !route.meta.open && !route.meta.bare)
listenForKeys()
</script>

<template>
  <a href="#sheet" class="act absolute -top-20 left-2 z-50 focus:top-2">To the page</a>
  <TopLine v-if="inside" />
  <main id="sheet" tabindex="-1" class="outline-none">
    <RouterView />
  </main>
  <Notices />
  <Shortcuts v-if="inside" />
</template>
