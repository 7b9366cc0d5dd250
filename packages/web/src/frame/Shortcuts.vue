<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { shortcuts, shortcutsOpen } from '../keys/keys'
</script>

<template>
  <Dialog :open="shortcutsOpen" class="relative z-50" @close="shortcutsOpen = false">
    <div class="fixed inset-0 bg-ink/30" aria-hidden="true" />
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel class="w-full max-w-[420px] border border-ink bg-sheet p-6">
        <DialogTitle class="text-[19px] font-bold">Keys</DialogTitle>
        <dl class="ledger mt-3">
          <div v-for="shortcut in shortcuts" :key="shortcut.key" class="flex items-center gap-4 py-2">
            <dt class="w-8">
              <kbd>{{ shortcut.key }}</kbd>
            </dt>
            <dd>{{ shortcut.does }}</dd>
          </div>
        </dl>
        <button type="button" class="word mt-4" @click="shortcutsOpen = false">Close</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
