<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import PersonMenu from './PersonMenu.vue'
import WordMark from './WordMark.vue'

// Apart from the first screen's script: what its list is made with weighs as much as a screen.
const FindOrDo = defineAsyncComponent(() => import('./FindOrDo.vue'))

const places = [
  { id: 'today', name: 'Today' },
  { id: 'sites', name: 'Sites' },
  { id: 'widgets', name: 'Widgets' },
  { id: 'installs', name: 'Installs' },
  { id: 'results', name: 'Results' },
]
</script>

<template>
  <header
    class="flex flex-wrap items-stretch gap-x-7 border-b border-rule bg-paper px-4 lg:h-14 lg:flex-nowrap lg:px-8"
  >
    <div class="flex items-center py-3 lg:py-0"><WordMark /></div>
    <nav class="order-3 flex w-full gap-6 overflow-x-auto lg:order-none lg:w-auto lg:gap-7" aria-label="Places">
      <RouterLink
        v-for="place in places"
        :key="place.id"
        :to="`/${place.id}`"
        class="-mb-px flex items-center border-b-2 py-2 no-underline lg:py-0"
        :class="
          $route.meta.place === place.id
            ? 'border-ink font-bold text-ink'
            : 'border-transparent text-soft hover:text-ink'
        "
        :aria-current="$route.meta.place === place.id ? 'true' : undefined"
      >
        {{ place.name }}
      </RouterLink>
    </nav>
    <div class="ml-auto flex items-center gap-4 lg:gap-7">
      <div class="min-h-[38px] w-[180px] sm:w-[270px]"><FindOrDo /></div>
      <PersonMenu />
    </div>
  </header>
</template>
