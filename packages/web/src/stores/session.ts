import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { routes } from '@pebblestrand/contract'
import { ask, useToken } from '../api/call'
import { queryClient } from '../queries/query'
import type { Person } from '../api/types'

interface Answer {
  user: Person | null
  csrf?: string
  agency?: string
  setup?: boolean
  demo?: boolean
}

/** Who is signed in. */
export const useSession = defineStore('session', () => {
  const person = ref<Person | null>(null)
  const agency = ref('')
  const needsSetUp = ref(false)
  const demo = ref(false)
  const known = ref(false)

  function take(answer: Answer): void {
    person.value = answer.user
    agency.value = answer.agency ?? ''
    needsSetUp.value = answer.setup ?? false
    demo.value = answer.demo ?? false
    known.value = true
    useToken(answer.csrf ?? '')
  }

  async function load(): Promise<void> {
    take(await ask(routes.accounts.session, {}))
  }
  async function signIn(email: string, password: string): Promise<void> {
    take(await ask(routes.accounts.signIn, { body: { email, password } }))
  }
  async function setUp(owner: {
    key: string
    agency: string
    name: string
    email: string
    password: string
  }): Promise<void> {
    take(await ask(routes.accounts.setUp, { body: owner }))
  }
  async function signOut(): Promise<void> {
    await ask(routes.accounts.signOut, {})
    take({ user: null })
    queryClient.clear() // nothing of one person is left for the next
  }
  /** The server says that the session is over. */
  function forget(): void {
    person.value = null
    useToken('')
  }

  const initials = computed(() =>
    (person.value?.name ?? '')
      .split(/\s+/)
      .map((part) => part[0])
      .join('')
      .slice(0, 2),
  )

  return { person, agency, needsSetUp, demo, known, initials, load, signIn, setUp, signOut, forget }
})
