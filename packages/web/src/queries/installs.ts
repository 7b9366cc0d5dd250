import { routes, type Answer, type mutableCodes } from '@pebblestrand/contract'
import type { SnippetOptions } from '@pebblestrand/contract'
import type { MethodId } from '@pebblestrand/core/methods/words'
import { ask, type Needed } from '../api/call'
import { useChecks } from '../stores/checks'
import { changed, put, useAsk } from './query'

const { checks, installs, sites, today } = routes

export type Filters = Record<string, string>

export const useRegister = (filters: () => Filters) =>
  useAsk(installs.list, () => ({ query: filters() as never }), { keep: true })
export const useFilterValues = (siteId: () => string) =>
  useAsk(installs.filters, () => ({ query: { siteId: siteId() } }), { keep: true })
export const useInstall = (id: () => string) => useAsk(installs.read, () => ({ params: { id: id() } }))
export const readInstall = (id: string) => ask(installs.read, { params: { id } })
export const idsOf = async (filters: Filters) => (await ask(installs.ids, { query: filters as never })).ids

/** What lists and plans show of installs is asked anew. */
const changedAround = () => changed(installs.list, sites.read, sites.list, today.read)

async function take(detail: Promise<Answer<typeof installs.read>>): Promise<void> {
  const install = await detail
  put(installs.read, { params: { id: install.id } }, install)
  await changedAround()
}

export async function planInstall(body: { widgetId: string; pageId: string; placementId: string | null }) {
  const planned = await ask(installs.plan, { body })
  await changedAround()
  return planned
}
export const changeInstall = (
  id: string,
  body: { method?: MethodId; stepsDone?: string[]; snippetOptions?: SnippetOptions },
) => take(ask(installs.change, { params: { id }, body }))
export const holdInstall = (id: string, release: number | null) =>
  take(ask(installs.hold, { params: { id }, body: { release } }))
export const swapInstall = (id: string, widgetId: string) =>
  take(ask(installs.swap, { params: { id }, body: { widgetId } }))
export const planSwap = (id: string, body: Needed<typeof installs.planSwap>['body']) =>
  take(ask(installs.planSwap, { params: { id }, body }))
export const dropSwap = (id: string, swapId: string) => take(ask(installs.dropSwap, { params: { id, swapId } }))
export const markPasted = (id: string) => take(ask(installs.pasted, { params: { id } }))
export const unmarkPasted = (id: string) => take(ask(installs.unpasted, { params: { id } }))

/** Follows a check to its end, then everything shows what came of it. */
export async function followCheck(checkId: string): Promise<void> {
  await useChecks().follow(checkId)
  await changed(installs.read, installs.list, sites.read, sites.list, today.read)
}
const followed = async (asked: Promise<{ checkId: string }>) => followCheck((await asked).checkId)

/** Puts a finding away until a day, and takes it up again; both change where the install stands. */
export const muteFinding = (id: string, code: string, body: { reason: string; until: string }) =>
  afterMute(ask(checks.mute, { params: { id, code: code as MutableCode }, body }))
export const unmuteFinding = (id: string, code: string) =>
  afterMute(ask(checks.unmute, { params: { id, code: code as MutableCode } }))
type MutableCode = (typeof mutableCodes)[number]
async function afterMute(done: Promise<unknown>): Promise<void> {
  await done
  await changed(installs.read)
  await changedAround()
}

export const checkInstall = (id: string) => followed(ask(installs.check, { params: { id } }))
export const retireInstall = (id: string) => followed(ask(installs.retire, { params: { id } }))
export const keepInstall = (id: string) => followed(ask(installs.keep, { params: { id } }))
