<script setup lang="ts">
import { plural } from '../../parts/address'

/** What visitors sent that nobody has looked at, and lists of codes that run out. */
defineProps<{
  leads: { new: number; held: number }
  limited: { widgetId: string; name: string; waiting: number }[]
  coupons: { widgetId: string; name: string; left: number; waiting: number }[]
}>()
</script>

<template>
  <section class="mt-6 grid gap-x-[18px] sm:grid-cols-[118px_minmax(0,1fr)]" aria-labelledby="answers-waiting">
    <h2 id="answers-waiting" class="border-t border-ink pt-[10px] text-[16px] font-semibold">Visitors wrote</h2>
    <ul class="ledger border-ink sm:border-t">
      <li v-if="leads.new" class="py-[10px]" data-thing>
        {{ plural(leads.new, 'answer') }} nobody has marked as done.
        <RouterLink to="/results/leads?state=new" class="word">Read them</RouterLink>
      </li>
      <li v-if="leads.held" class="py-[10px]" data-thing>
        {{ plural(leads.held, 'answer') }} held back, since a robot may have sent
        {{ leads.held === 1 ? 'it' : 'them' }}.
        <RouterLink to="/results/leads?state=held" class="word"
          >Look at {{ leads.held === 1 ? 'it' : 'them' }}</RouterLink
        >
      </li>
      <li v-for="form in limited" :key="`limited-${form.widgetId}`" class="py-[10px]" data-thing>
        <b>{{ form.name }}</b> has sent as many mails as it may in an hour.
        {{ plural(form.waiting, 'reply', 'replies') }} will be sent in the next hour.
        <RouterLink
          :to="`/widgets/${form.widgetId}/answers`"
          class="word"
          :aria-label="`Change the limit of ${form.name}`"
          >Change the limit</RouterLink
        >
      </li>
      <li v-for="form in coupons" :key="form.widgetId" class="py-[10px]" data-thing>
        <b>{{ form.name }}</b> has {{ plural(form.left, 'code') }} left<template v-if="form.waiting"
          >, and {{ plural(form.waiting, 'reply', 'replies') }} wait for one</template
        >.
        <RouterLink :to="`/widgets/${form.widgetId}/answers`" class="word" :aria-label="`Add codes to ${form.name}`"
          >Add codes</RouterLink
        >
      </li>
    </ul>
  </section>
</template>
