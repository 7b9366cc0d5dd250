<script setup lang="ts">
import { statuses, type InstallStatus } from '@pebblestrand/core/verify/words'
import Pebble from '../../parts/Pebble.vue'

const order: InstallStatus[] = ['confirmed', 'pasted', 'handed-over', 'planned', 'needs-a-hand', 'retired']
</script>

<template>
  <section aria-labelledby="legend">
    <h2 id="legend" class="label mb-1 font-sans">Pebbles</h2>
    <ul>
      <li v-for="status in order" :key="status" class="flex items-center gap-2 py-[2px] text-[13.5px]">
        <Pebble :status="status" :seed="status" aria-hidden="true" /> {{ statuses[status].name }}
      </li>
    </ul>
  </section>
</template>
