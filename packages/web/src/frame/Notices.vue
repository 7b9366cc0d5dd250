<script setup lang="ts">
import { X } from '@lucide/vue'
import { dismiss, notices, type Notice } from './notices'

const undo = (notice: Notice) => {
  notice.undo?.()
  dismiss(notice.id)
}
</script>

<template>
  <!-- Beside the application, which a sheet makes inert: what went wrong in the sheet is seen and announced all the same. -->
  <Teleport to="body">
    <div
      class="fixed bottom-4 left-4 z-60 grid max-w-[min(440px,calc(100vw-2rem))] gap-2"
      role="status"
      aria-live="polite"
    >
      <div
        v-for="notice in notices"
        :key="notice.id"
        class="flex items-start gap-4 border-l-4 bg-ink px-4 py-3 text-paper"
        :class="notice.fault ? 'border-coral' : 'border-kelp'"
      >
        <p>
          <b>{{ notice.text }}</b>
          <template v-if="notice.remedy">{{ ` ${notice.remedy}` }}</template>
        </p>
        <button
          v-if="notice.undo"
          type="button"
          class="cursor-pointer font-bold whitespace-nowrap underline underline-offset-3"
          @click="undo(notice)"
        >
          Undo
        </button>
        <button
          type="button"
          class="ml-auto cursor-pointer"
          aria-label="Put this message away"
          @click="dismiss(notice.id)"
        >
          <X :size="16" />
        </button>
      </div>
    </div>
  </Teleport>
</template>
