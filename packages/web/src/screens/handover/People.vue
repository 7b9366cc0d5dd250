<script setup lang="ts">
import { contactRoles, type ContactRole } from '@pebblestrand/contract'
import { languages } from '@pebblestrand/core/words'
import { ref } from 'vue'
import { asApiError } from '../../api/error'
import { sayFault } from '../../frame/notices'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import Panel from '../../parts/Panel.vue'
import { useSubmission } from '../../parts/submission'
import Fault from '../../parts/Fault.vue'
import { aboveFields } from '../../api/error'
import { addContact, changeContact, removeContact, useContacts, type ContactRow } from '../../queries/handover'

/** People of a site's client: who pastes, who decides, who pays. */
const props = defineProps<{ siteId: string }>()
const emit = defineEmits<{ close: [] }>()
const { data: people } = useContacts(() => props.siteId)
const empty = () => ({
  name: '',
  email: '',
  roles: ['pastes'] as ContactRole[],
  language: null as string | null,
  siteIds: [] as string[],
})
/** Id of who is corrected; '' for somebody new; null for nobody. */
const editing = ref<string | null>(null)
const wanted = ref(empty())
function edit(person: ContactRow | null): void {
  editing.value = person?.id ?? ''
  wanted.value = person
    ? {
        name: person.name,
        email: person.email,
        roles: [...person.roles],
        language: person.language,
        siteIds: [...person.siteIds],
      }
    : empty()
}
const { busy, error, about, submit } = useSubmission(async () => {
  const body = wanted.value as Parameters<typeof addContact>[1]
  await (editing.value ? changeContact(editing.value, body) : addContact(props.siteId, body))
  editing.value = null
})
const attempt = (action: Promise<unknown>) => action.catch((e: unknown) => sayFault(asApiError(e)))
const siteName = (id: string) => people.value?.sites.find((site) => site.id === id)?.name ?? ''
</script>

<template>
  <Panel :open="true" :title="`People of ${people?.client ?? 'the client'}`" @close="emit('close')">
    <p v-if="people && !people.rows.length && editing === null" class="text-soft">
      Nobody is noted yet. Who pastes at this site is offered first when something is handed over.
    </p>
    <ul v-else-if="people && editing === null" class="ledger border-t border-rule">
      <li v-for="person in people.rows" :key="person.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
        <span class="min-w-0 flex-1">
          <b>{{ person.name }}</b>
          <span class="text-soft">{{
            [person.roles.join(', '), person.email, person.siteIds.map(siteName).join(', ')].filter(Boolean).join(' · ')
          }}</span>
        </span>
        <button type="button" class="word" :aria-label="`Correct ${person.name}`" @click="edit(person)">Correct</button>
        <button
          type="button"
          class="word plain"
          :aria-label="`Forget ${person.name}`"
          @click="attempt(removeContact(person.id))"
        >
          Forget
        </button>
      </li>
    </ul>
    <button v-if="editing === null" type="button" class="act mt-4" @click="edit(null)">Note somebody</button>
    <form v-else novalidate @submit.prevent="submit">
      <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
      <InputField v-model="wanted.name" label="Name" :fault="about('name')" autocomplete="off" />
      <InputField v-model="wanted.email" label="Mail address" type="email" :fault="about('email')" autocomplete="off" />
      <fieldset class="mb-4 border-0 p-0">
        <legend class="label">What they do</legend>
        <label v-for="(name, role) in contactRoles" :key="role" class="mr-5 text-[14px]"
          ><input v-model="wanted.roles" type="checkbox" :value="role" class="accent-kelp" /> {{ name }}</label
        >
      </fieldset>
      <Labelled v-slot="{ id }" label="Language">
        <select :id="id" v-model="wanted.language" class="field">
          <option :value="null">that of the site</option>
          <option v-for="(one, tag) in languages" :key="tag" :value="tag">{{ one.name }}</option>
        </select>
      </Labelled>
      <fieldset v-if="(people?.sites.length ?? 0) > 1" class="mb-4 border-0 p-0">
        <legend class="label">On which sites; none ticked means all</legend>
        <label v-for="site in people!.sites" :key="site.id" class="block text-[14px]"
          ><input v-model="wanted.siteIds" type="checkbox" :value="site.id" class="accent-kelp" />
          {{ site.name }}</label
        >
      </fieldset>
      <p class="flex items-center gap-5">
        <button class="act" :disabled="busy">{{ editing ? 'Keep it' : 'Note them' }}</button>
        <button type="button" class="word plain" @click="editing = null">Not now</button>
      </p>
    </form>
  </Panel>
</template>
