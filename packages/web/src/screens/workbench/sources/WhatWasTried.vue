<script setup lang="ts">
import type { Tried } from '../../../api/types'
import { shortAddress } from '../../../parts/address'

/** Addresses that were opened in search of a feed, in the order in which they answered. */
defineProps<{ tried: Tried[] }>()
</script>

<template>
  <section class="mt-2 text-[14px]" aria-labelledby="tried">
    <h3 id="tried" class="label font-sans tracking-normal">What was tried</h3>
    <ul class="mt-1" aria-live="polite">
      <li v-for="one in tried" :key="one.url" class="break-all">
        {{ shortAddress(one.url, 60) }} <span class="text-soft">{{ one.outcome }}</span>
      </li>
    </ul>
  </section>
</template>
