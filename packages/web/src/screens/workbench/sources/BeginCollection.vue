<script setup lang="ts">
import { ref } from 'vue'
import type { SourceDetail } from '../../../api/types'
import Fault from '../../../parts/Fault.vue'
import InputField from '../../../parts/InputField.vue'
import { useSubmission } from '../../../parts/submission'
import { beginCollection } from '../../../queries/picks'

/** A collection of one's own, which the widget then shows. */
const emit = defineEmits<{ begun: [source: SourceDetail] }>()
const title = ref('')
const { busy, error, about, submit } = useSubmission(async () => emit('begun', await beginCollection(title.value)))
</script>

<template>
  <form novalidate @submit.prevent="submit">
    <Fault v-if="error && !about('title')" :error="error" class="mb-4" />
    <div class="flex items-start gap-5">
      <div class="min-w-0 flex-1">
        <InputField
          v-model="title"
          label="Begin a collection called"
          hint="Then add to it on its own screen, which the list above leads to."
          data-first
          :fault="about('title')"
        />
      </div>
      <button class="act mt-6 shrink-0" :disabled="busy">Begin it</button>
    </div>
  </form>
</template>
