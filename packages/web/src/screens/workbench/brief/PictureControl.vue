<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { completeWebAddress } from '@pebblestrand/core/addresses'
import { ref } from 'vue'
import { asApiError } from '../../../api/error'
import TypedField from '../../../parts/TypedField.vue'
import { PICTURE_FILES, uploadPicture } from '../../../queries/pictures'

/** A picture by its address, or from the person's own machine. */
defineProps<{ control: ControlOf<'picture'>; value: string; label: string }>()
const emit = defineEmits<{ set: [value: string] }>()
const busy = ref(false)
const problem = ref('')

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  busy.value = true
  problem.value = ''
  try {
    emit('set', (await uploadPicture(file)).url)
  } catch (error) {
    problem.value = asApiError(error).message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="w-[300px] max-w-full">
    <img v-if="value" :src="value" alt="" class="mb-2 max-h-[120px] max-w-full object-contain" />
    <TypedField
      class="field w-full"
      inputmode="url"
      placeholder="https://…"
      :maxlength="control.most"
      :aria-label="`Address of the picture: ${label}`"
      :value="value"
      @change="(text: string) => emit('set', completeWebAddress(text))"
    />
    <p class="mt-2 flex flex-wrap gap-x-4">
      <label class="word cursor-pointer has-focus-visible:outline-2 has-focus-visible:outline-tide">
        {{ busy ? 'Sending it …' : 'Choose from this computer' }}
        <input type="file" class="sr-only" :accept="PICTURE_FILES" :disabled="busy" @change="take" />
      </label>
      <button v-if="value" type="button" class="word" @click="emit('set', '')">No picture</button>
    </p>
    <p v-if="problem" class="mt-2 text-coral" role="alert">{{ problem }}</p>
  </div>
</template>
