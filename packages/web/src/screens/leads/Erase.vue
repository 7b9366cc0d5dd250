<script setup lang="ts">
import { ref } from 'vue'
import InputField from '../../parts/InputField.vue'
import { plural } from '../../parts/address'
import SheetForm from '../../parts/SheetForm.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { erase, foreseeErasure, useErasures } from '../../queries/forms'

/** Deletes all that is held of a mail address, once it was said how much that is. There is no way back. */
const emit = defineEmits<{ close: [] }>()
type Counts = Awaited<ReturnType<typeof foreseeErasure>>
const mail = ref('')
const foreseen = ref<{ mail: string; counts: Counts } | null>(null)
const receipt = ref<{ at: string; counts: Counts } | null>(null)
const { data: before } = useErasures()

async function go(): Promise<void> {
  if (foreseen.value?.mail !== mail.value) {
    foreseen.value = { mail: mail.value, counts: await foreseeErasure(mail.value) }
    return
  }
  receipt.value = await erase(mail.value)
  foreseen.value = null
  mail.value = ''
}
const said = ({ leads, mails, archived }: Counts) =>
  `${plural(leads, 'answer')}, ${plural(mails, 'mail')}, and ${archived} in what was removed lately`
</script>

<template>
  <SheetForm
    title="Delete what is held of somebody"
    :does="foreseen && foreseen.mail === mail ? 'Delete it for good' : 'See what is held'"
    :run="go"
    @close="emit('close')"
  >
    <template #default="{ about }">
      <div v-if="receipt" class="mb-4 border-l-4 border-kelp py-1 pl-4" role="status">
        <p><b>Deleted.</b> {{ said(receipt.counts) }}.</p>
        <p class="text-[13.5px] text-soft">
          This is the receipt: {{ new Date(receipt.at).toLocaleString() }}. It is kept without the address.
        </p>
      </div>
      <InputField v-model="mail" label="Their mail address" type="email" :fault="about('mail')" />
      <p v-if="foreseen && foreseen.mail === mail" class="mb-4" role="status">
        There are <b>{{ said(foreseen.counts) }}</b>. Once they are deleted nobody can bring them back.
      </p>
      <details v-if="before?.rows.length" class="mb-4">
        <summary class="cursor-pointer text-[14px]">Deleted before</summary>
        <ul class="mt-1 text-[13.5px] text-soft">
          <li v-for="one in before.rows" :key="one.id">
            <TimeAgo :at="one.at" /><template v-if="one.by"> by {{ one.by }}</template
            >: {{ said(one.counts) }}
          </li>
        </ul>
      </details>
    </template>
  </SheetForm>
</template>
