import { routes, type Answer } from '@pebblestrand/contract'
import { ask, type Needed } from '../api/call'
import { changed, useAsk } from './query'

const { forms, leads, today } = routes

export type FormInfo = Answer<typeof forms.read>
export type FormTest = Answer<typeof forms.readTest>
export type Lead = Answer<typeof leads.list>['rows'][number]
export type LeadWhole = Answer<typeof leads.read>
export type LeadFilter = Omit<Needed<typeof leads.list>['query'], 'page' | 'size'>

const AGAIN_MS = 20_000

export const useForm = (widgetId: () => string) => useAsk(forms.read, () => ({ params: { id: widgetId() } }))

const formChanged = () => changed(forms.read, leads.list, today.read)

export async function decide(widgetId: string, body: Needed<typeof forms.change>['body']): Promise<void> {
  await ask(forms.change, { params: { id: widgetId }, body })
  await formChanged()
}
export async function newSecret(widgetId: string): Promise<void> {
  await ask(forms.newSecret, { params: { id: widgetId } })
  await formChanged()
}
export async function addCoupons(widgetId: string, codes: string) {
  const answer = await ask(forms.addCoupons, { params: { id: widgetId }, body: { codes } })
  await formChanged()
  return answer
}
export async function dropCoupons(widgetId: string) {
  const answer = await ask(forms.dropCoupons, { params: { id: widgetId } })
  await formChanged()
  return answer
}

/** Ms between two looks at how far a test is. */
const LOOK_MS = 500

/** Sends a test and waits for its end; `tell` hears how far it is. */
export async function sendTest(
  widgetId: string,
  installId: string | null,
  tell: (test: FormTest) => void,
): Promise<FormTest> {
  const { id } = await ask(forms.test, { params: { id: widgetId }, body: { installId } })
  for (;;) {
    const test = await ask(forms.readTest, { params: { id } })
    tell(test)
    if (test.state !== 'running') {
      await formChanged()
      return test
    }
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS))
  }
}

export const useLeads = (asked: () => Needed<typeof leads.list>['query']) =>
  useAsk(leads.list, () => ({ query: asked() }), {
    keep: true,
    // Answers are sealed: a search opens each of them, and is made again when somebody asks for it.
    again: () => (asked().q ? 0 : AGAIN_MS),
  })
export const useLead = (id: () => string) =>
  useAsk(leads.read, () => ({ params: { id: id() } }), { again: () => AGAIN_MS })

export async function markLead(id: string, state: 'new' | 'done' | 'spam'): Promise<void> {
  await ask(leads.change, { params: { id }, body: { state } })
  await changed(leads.list, leads.read, today.read, forms.read)
}
export const leadsFile = (filter: LeadFilter, form: 'csv' | 'json') =>
  `${leads.file.path}?${new URLSearchParams({ ...(Object.fromEntries(Object.entries(filter ?? {}).filter(([, value]) => value)) as Record<string, string>), form })}`

export const foreseeErasure = (mail: string) => ask(leads.foreseeErasure, { body: { mail } })
export async function erase(mail: string) {
  const receipt = await ask(leads.erase, { body: { mail } })
  await changed(leads.list, leads.erasures, today.read, forms.read)
  return receipt
}
export const useErasures = () => useAsk(leads.erasures, () => ({ query: { page: 1, size: 20 } }))
