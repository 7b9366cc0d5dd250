<script setup lang="ts">
import type { ReadFile } from '../../api/types'

/** What is wrong in a file, by line and column, with what stands there. */
defineProps<{ faults: ReadFile['faults'] }>()
</script>

<template>
  <div class="max-h-[220px] overflow-auto" tabindex="0" role="region" aria-label="What is wrong in the file">
    <table class="w-full border-t border-ink text-[14px]">
      <thead>
        <tr class="text-left">
          <th scope="col" class="label w-[60px] py-1 pr-4">Line</th>
          <th scope="col" class="label w-[140px] py-1 pr-4">Column</th>
          <th scope="col" class="label py-1">What stands there</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="fault in faults" :key="`${fault.line} ${fault.field}`" class="border-t border-rule align-baseline">
          <td class="py-1 pr-4">{{ fault.line }}</td>
          <td class="py-1 pr-4 break-words">{{ fault.column || 'the row' }}</td>
          <td class="py-1">
            <code v-if="fault.shown" class="mr-1 font-mono text-[12.5px] break-all">{{
              fault.shown.slice(0, 120)
            }}</code>
            <span class="text-coral">{{ fault.message }}</span>
            <span class="block truncate text-[13px] text-soft">{{ fault.row.join(' · ').slice(0, 200) }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
