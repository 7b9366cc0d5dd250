<script setup lang="ts">
import { reactive, ref } from 'vue'
import type { Entry } from '../../api/types'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import { labelsOf } from '../../parts/labels'
import SheetForm from '../../parts/SheetForm.vue'
import { putReview } from '../../queries/sources'
import { typedOf } from './typed'

/** A review as it stands on paper, or one that is there and is to be corrected. */
const props = defineProps<{ sourceId: string; entry: Entry | null }>()
const emit = defineEmits<{ close: [] }>()
const review = reactive(typedOf(props.entry))
const labels = ref(review.labels?.join(', ') ?? '')
const run = () => putReview(props.sourceId, { ...review, labels: labelsOf(labels.value) })
</script>

<template>
  <SheetForm
    :title="entry ? 'Correct a review' : 'Type a review'"
    :does="entry ? 'Keep it so' : 'Keep it'"
    :run="run"
    wide
    @close="emit('close')"
    @done="emit('close')"
  >
    <template #default="{ about }">
      <div class="grid gap-x-6 sm:grid-cols-[minmax(0,1fr)_130px_150px]">
        <InputField v-model="review.author" label="Author" :fault="about('author')" />
        <InputField
          v-model.number="review.rating"
          label="Stars"
          min="1"
          max="5"
          step="0.5"
          hint="1 to 5"
          :fault="about('rating')"
        />
        <InputField v-model="review.date" label="Date" type="date" :fault="about('date')" />
      </div>
      <InputField v-model="review.title" label="Title" :fault="about('title')" />
      <Labelled v-slot="{ id, invalid, described }" label="What was said" :fault="about('text')">
        <textarea
          :id="id"
          v-model="review.text"
          class="field"
          rows="5"
          dir="auto"
          :aria-invalid="invalid"
          :aria-describedby="described"
        />
      </Labelled>
      <Labelled v-slot="{ id, invalid, described }" label="Owner’s answer" :fault="about('reply')">
        <textarea
          :id="id"
          v-model="review.reply"
          class="field"
          rows="2"
          dir="auto"
          :aria-invalid="invalid"
          :aria-describedby="described"
        />
      </Labelled>
      <div class="grid gap-x-6 sm:grid-cols-[minmax(0,1fr)_170px]">
        <InputField v-model="labels" label="Labels" hint="With commas between them." :fault="about('labels')" />
        <InputField v-model="review.language" label="Language" hint="Such as en or pt-BR." :fault="about('language')" />
      </div>
    </template>
  </SheetForm>
</template>
