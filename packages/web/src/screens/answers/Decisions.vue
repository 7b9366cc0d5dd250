<script setup lang="ts">
import { COUPONS, NOTES, usualDelivery, type DeliverySettings } from '@pebblestrand/core/forms'
import { computed, ref } from 'vue'
import { aboveFields } from '../../api/error'
import type { WidgetDetail } from '../../api/types'
import { say } from '../../frame/notices'
import Fault from '../../parts/Fault.vue'
import FormTestLine from '../../parts/FormTestLine.vue'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import { useSubmission } from '../../parts/submission'
import { decide, type FormInfo } from '../../queries/forms'
import { useRegister } from '../../queries/installs'
import Codes from './Codes.vue'
import Confirming from './Confirming.vue'
import ReplyPreview from './ReplyPreview.vue'
import Signing from './Signing.vue'
import { blanksOfWidget, formOfWidget } from './widget-form'

/** What is decided about a form’s answers: the reply, who is told, how long they are kept. */
const props = defineProps<{ id: string; widget: WidgetDetail; info: FormInfo }>()
const wanted = ref<DeliverySettings>({ ...usualDelivery, ...props.info.delivery })
const kept = computed<DeliverySettings>(() => ({ ...usualDelivery, ...props.info.delivery }))
const form = computed(() => formOfWidget(props.widget))
const isChanged = computed(() => JSON.stringify(wanted.value) !== JSON.stringify(kept.value))
const { busy, error, about, submit } = useSubmission(async () => {
  await decide(props.id, wanted.value)
  say('It holds from now on.')
})
/** Where it stands, over the page too: a test goes to that address. */
const { data: standing } = useRegister(() => ({ widgetId: props.id, size: '1' }))
const install = computed(() => standing.value?.rows.find(({ status }) => status !== 'retired') ?? null)
</script>

<template>
  <form
    class="grid gap-x-9 gap-y-8 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8 xl:grid-cols-[190px_minmax(0,1fr)_330px]"
    novalidate
    @submit.prevent="submit"
  >
    <div>
      <h1 class="text-[27px] leading-tight font-bold">Answers to {{ widget.name }}</h1>
      <p class="mt-2 leading-[26px]">
        <RouterLink :to="`/results/leads?widgetId=${id}`" class="word plain"
          >{{ info.counts.new }} new, {{ info.counts.done }} done</RouterLink
        >
      </p>
      <p v-if="info.counts.held" class="mt-1 leading-[26px]">
        <RouterLink :to="`/results/leads?widgetId=${id}&state=held`" class="word plain"
          >{{ info.counts.held }} held back</RouterLink
        ><span v-if="info.notKept" class="block text-[13px] text-soft"
          >{{ info.notKept }} more from robots today were not stored.</span
        >
      </p>
      <p class="mt-4"><RouterLink :to="`/widgets/${id}`" class="word plain">To its workbench</RouterLink></p>
      <button class="act mt-6" :disabled="busy || !isChanged">Keep this</button>
      <p class="mt-2 text-[13px] text-soft">
        {{ isChanged ? 'Not kept yet.' : 'As it is kept.' }} It holds at once, without a release.
      </p>
    </div>
    <div class="min-w-0 max-w-[720px]">
      <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
      <section class="border-t border-ink pt-3" aria-labelledby="try-it">
        <h2 id="try-it" class="mb-2 text-[17px] font-semibold">Whether it arrives</h2>
        <FormTestLine :widget-id="id" :install-id="install?.id ?? null" :last="info.tests[0]" />
        <Labelled v-slot="{ id: field }" label="Checks send one" class="mt-3 max-w-[260px]">
          <select :id="field" v-model.number="wanted.testEvery" class="field">
            <option :value="0">never</option>
            <option :value="1">every day</option>
            <option :value="7">once a week</option>
            <option :value="30">once a month</option>
          </select>
        </Labelled>
      </section>
      <section class="mt-4 border-t border-ink pt-3" aria-labelledby="reply">
        <h2 id="reply" class="mb-2 text-[17px] font-semibold">A reply to who wrote</h2>
        <p v-if="!info.sends" class="mb-2 text-ochre">This Pebblestrand sends no mail: no server is set up for it.</p>
        <label class="mb-3 flex items-center gap-2"
          ><input v-model="wanted.reply" type="checkbox" class="accent-kelp" /> They get a mail, where they gave an
          address</label
        >
        <template v-if="wanted.reply">
          <InputField v-model="wanted.replySubject" label="Subject" :fault="about('replySubject')" />
          <Labelled
            v-slot="{ id: field, described, invalid }"
            label="Text"
            :hint="`In braces: ${form ? blanksOfWidget(form).join(', ') : ''}.`"
            :fault="about('replyText')"
          >
            <textarea
              :id="field"
              v-model="wanted.replyText"
              class="field leading-[1.5]"
              rows="8"
              :aria-describedby="described"
              :aria-invalid="invalid"
            />
          </Labelled>
          <div class="grid gap-x-6 sm:grid-cols-2">
            <Labelled v-slot="{ id: field }" label="It brings">
              <select :id="field" v-model="wanted.coupon" class="field">
                <option v-for="(words, one) in COUPONS" :key="one" :value="one">{{ words }}</option>
              </select>
            </Labelled>
            <InputField
              v-if="wanted.coupon === 'fixed'"
              v-model="wanted.code"
              label="The code"
              class="font-mono"
              :fault="about('code')"
            />
          </div>
          <Codes v-if="wanted.coupon === 'list'" :widget-id="id" :coupons="info.coupons" />
          <Confirming v-model="wanted" :replies="info.replies" :about="about" />
        </template>
      </section>
      <section class="mt-4 border-t border-ink pt-3" aria-labelledby="notes">
        <h2 id="notes" class="mb-2 text-[17px] font-semibold">Who is told</h2>
        <div class="grid gap-x-6 sm:grid-cols-2">
          <Labelled v-slot="{ id: field }" label="The keeper of the site is told">
            <select :id="field" v-model="wanted.noteAgency" class="field">
              <option v-for="(words, one) in NOTES" :key="one" :value="one">{{ words }}</option>
            </select>
          </Labelled>
          <Labelled
            v-slot="{ id: field }"
            label="The client is told"
            hint="Whoever of its people gets what visitors write."
          >
            <select :id="field" v-model="wanted.noteClient" class="field">
              <option v-for="(words, one) in NOTES" :key="one" :value="one">{{ words }}</option>
            </select>
          </Labelled>
        </div>
        <label class="mb-3 flex items-center gap-2"
          ><input v-model="wanted.onClientPage" type="checkbox" class="accent-kelp" /> The client reads them on their
          own page</label
        >
        <InputField
          v-model="wanted.webhook"
          label="A program of yours is told of each, at"
          placeholder="https://…"
          :fault="about('webhook')"
        />
        <Signing v-if="wanted.webhook" :widget-id="id" :secret="info.webhookSecret" />
      </section>
      <section class="mt-4 border-t border-ink pt-3" aria-labelledby="kept">
        <h2 id="kept" class="mb-2 text-[17px] font-semibold">How long they are kept</h2>
        <InputField
          v-model.number="wanted.keepDays"
          label="Days"
          hint="0 for ever. Then they are deleted for good, mails about them too."
          min="0"
          max="3650"
          class="max-w-[120px]"
          :fault="about('keepDays')"
        />
        <p class="text-[13.5px] text-soft">
          {{
            info.isEncrypted
              ? 'What is written is encrypted where it is stored.'
              : 'What is written is not encrypted where it is stored: whoever runs this Pebblestrand can give a key (PEBBLESTRAND_LEADS_KEY).'
          }}
        </p>
      </section>
    </div>
    <aside v-if="wanted.reply && form" class="min-w-0 xl:border-l xl:border-rule xl:pl-[22px]">
      <h2 class="label font-sans tracking-normal">The reply as it goes out</h2>
      <ReplyPreview :form="form" :delivery="wanted" :name="widget.name" :site="install?.site ?? ''" class="mt-1" />
    </aside>
  </form>
</template>
