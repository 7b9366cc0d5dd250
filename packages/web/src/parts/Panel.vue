<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { shallowRef, type ComponentPublicInstance } from 'vue'

/** A sheet laid over the page for a task of its own. */
defineProps<{ open: boolean; title: string; wide?: boolean; widest?: boolean }>()
const emit = defineEmits<{ close: [] }>()

/** The focus begins where the sheet says (`data-first`), else at the first thing to write in, else at the way out. */
const first = shallowRef<HTMLElement | null>(null)
function take(body: Element | ComponentPublicInstance | null): void {
  const panel = body as HTMLElement | null
  if (!panel || first.value) return
  first.value =
    panel.querySelector<HTMLElement>('[data-first]') ??
    panel.querySelector<HTMLElement>('input:not([type=radio]), select, textarea') ??
    panel.querySelector<HTMLElement>('[data-close]') ??
    null
}
</script>

<template>
  <Dialog :open="open" class="relative z-50" :initial-focus="first" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/35" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto">
      <div class="flex min-h-full items-start justify-center p-4 sm:p-10">
        <DialogPanel
          class="w-full border border-ink bg-sheet px-6 py-5"
          :class="widest ? 'max-w-[1180px]' : wide ? 'max-w-[760px]' : 'max-w-[460px]'"
        >
          <div :ref="take">
            <div class="mb-4 flex items-start gap-4">
              <DialogTitle class="text-[21px] font-bold">{{ title }}</DialogTitle>
              <button
                type="button"
                class="-mr-2 ml-auto grid size-8 cursor-pointer place-items-center"
                aria-label="Close"
                data-close
                @click="emit('close')"
              >
                <X :size="18" />
              </button>
            </div>
            <slot />
          </div>
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>
