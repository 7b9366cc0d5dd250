<script setup lang="ts">
import { ref } from 'vue'
import { aboveFields, asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import { useSubmission } from '../../parts/submission'
import { addCoupons, dropCoupons, type FormInfo } from '../../queries/forms'

/** A list of codes, of which each reply brings the next: how many are left, more of them, and taking them out. */
const props = defineProps<{ widgetId: string; coupons: FormInfo['coupons'] }>()
const codes = ref('')
const { busy, error, about, submit } = useSubmission(async () => {
  const { added, doubles } = await addCoupons(props.widgetId, codes.value)
  codes.value = ''
  say(`${plural(added, 'code')} added${doubles ? `; ${doubles} were there already` : ''}.`)
})
async function drop(): Promise<void> {
  if (!confirm(`Take out ${plural(props.coupons.left, 'code')} that nobody has been given? They are gone then.`)) return
  await dropCoupons(props.widgetId).catch((e: unknown) => sayFault(asApiError(e)))
}
</script>

<template>
  <div class="mb-4">
    <p>
      <b>{{ plural(coupons.left, 'code') }} left</b><span class="text-soft">, {{ coupons.given }} given</span
      ><span v-if="coupons.waiting" class="text-coral"
        >; {{ plural(coupons.waiting, 'reply', 'replies') }} wait for one</span
      >
      <button v-if="coupons.left" type="button" class="word plain ml-3 text-[13.5px]" @click="drop">
        Take those out
      </button>
    </p>
    <Fault v-if="error" :error="aboveFields(error)" class="my-2" />
    <label class="label mt-2 block" for="more-codes">More codes, one a line</label>
    <textarea
      id="more-codes"
      v-model="codes"
      class="field font-mono"
      rows="3"
      :aria-invalid="about('codes') ? true : undefined"
    />
    <p v-if="about('codes')" class="text-[13.5px] text-coral">It {{ about('codes') }}.</p>
    <button type="button" class="word mt-1" :disabled="busy || !codes.trim()" @click="submit">Add them</button>
  </div>
</template>
