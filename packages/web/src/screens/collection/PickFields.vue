<script setup lang="ts">
import { ref } from 'vue'
import { asApiError } from '../../api/error'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import { uploadPicture } from '../../queries/pictures'
import type { PickForm } from './pick-form'
import PictureChoice from './PictureChoice.vue'

/** What is said of a pick, each to be written over. */
defineProps<{ about: (field: string) => string; short?: boolean }>()
const form = defineModel<PickForm>({ required: true })
const problem = ref('')

async function upload(file: File): Promise<void> {
  problem.value = ''
  try {
    const picture = await uploadPicture(file)
    form.value = { ...form.value, picture, choices: [...form.value.choices, picture] }
  } catch (error) {
    problem.value = asApiError(error).message
  }
}
</script>

<template>
  <InputField v-model="form.title" label="Title" :fault="about('title')" dir="auto" />
  <Labelled v-slot="{ id, invalid, described }" label="Note" :fault="about('text')">
    <textarea
      :id="id"
      v-model="form.text"
      class="field"
      :rows="short ? 3 : 4"
      dir="auto"
      :aria-invalid="invalid"
      :aria-describedby="described"
    />
  </Labelled>
  <PictureChoice
    :choices="form.choices"
    :chosen="form.picture"
    :problem="problem || about('picture')"
    @choose="form.picture = $event"
    @upload="upload"
  />
  <div class="grid gap-x-6 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_150px]">
    <InputField v-model="form.labels" label="Labels" hint="With commas between them." :fault="about('labels')" />
    <template v-if="!short">
      <InputField v-model="form.site" label="Site" :fault="about('site')" />
      <InputField v-model="form.date" label="Date" type="date" :fault="about('date')" />
    </template>
  </div>
</template>
