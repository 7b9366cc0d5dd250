<script setup lang="ts">
import { dayIn, madeUp, replyLetter, type DeliverySettings, type FormDefinition } from '@pebblestrand/core/forms'
import { computed } from 'vue'
import { useSession } from '../../stores/session'

/** The reply as somebody would get it, filled with made-up answers, drawn while it is worded. */
const props = defineProps<{ form: FormDefinition; delivery: DeliverySettings; name: string; site: string }>()
const session = useSession()
const letter = computed(() =>
  replyLetter(
    props.delivery,
    props.form,
    madeUp(props.form, { mail: session.person?.email ?? 'name@example.org', today: dayIn('UTC', new Date()) }),
    {
      coupon: props.delivery.coupon === 'fixed' ? props.delivery.code : 'A-CODE',
      site: props.site || 'the site',
      form: props.name,
    },
    { lang: 'en-GB', direction: 'ltr' },
  ),
)
</script>

<template>
  <figure class="border border-rule bg-sheet p-3 text-[14px]">
    <figcaption class="border-b border-rule pb-2 font-bold">{{ letter.subject || 'No subject yet' }}</figcaption>
    <p class="pt-2 leading-[1.5] break-words whitespace-pre-line">{{ letter.text }}</p>
  </figure>
</template>
