<script setup lang="ts">
import { ref } from 'vue'
import type { FindingInfo } from '../../api/types'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { muteFinding } from '../../queries/installs'

/** Puts a finding away: why, and until when. It is still seen; it no longer asks for anyone. */
const props = defineProps<{ installId: string; finding: FindingInfo }>()
const emit = defineEmits<{ close: [] }>()
const reason = ref('')
const until = ref(inDays(30))
function inDays(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
}
const put = () => muteFinding(props.installId, props.finding.code, { reason: reason.value, until: until.value })
</script>

<template>
  <SheetForm title="Put it away" does="Put it away" :run="put" @close="emit('close')" @done="emit('close')">
    <template #default="{ about }">
      <p class="mb-4 text-[14px] text-soft">
        <b>{{ finding.title }}</b> It is still looked for and said here, but no longer makes this install need a hand.
      </p>
      <InputField
        v-model="reason"
        label="Why"
        placeholder="The client knows, and rebuilds the page"
        :fault="about('reason')"
      />
      <InputField v-model="until" type="date" label="It counts again from" :fault="about('until')" />
    </template>
  </SheetForm>
</template>
