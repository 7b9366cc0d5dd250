import { routes, type Answer } from '@pebblestrand/contract'
import { ask } from '../api/call'
import { changed, put, useAsk } from './query'

const { agency } = routes

export type AgencySettings = Answer<typeof agency.read>
export type OwnStarter = Answer<typeof agency.starters>['rows'][number]

export const useAgency = () => useAsk(agency.read, () => ({}))
export const useOwnStarters = () => useAsk(agency.starters, () => ({}))

export async function changeAgency(settings: AgencySettings): Promise<void> {
  put(agency.read, {}, await ask(agency.change, { body: settings }))
}

async function startersChanged<T>(done: Promise<T>): Promise<T> {
  const answer = await done
  await changed(agency.starters)
  return answer
}
export const keepStarter = (widgetId: string, name: string) =>
  startersChanged(ask(agency.keepStarter, { body: { widgetId, name } }))
export const bringStarter = (text: string) => startersChanged(ask(agency.bringStarter, { body: { text } }))
export const dropStarter = (id: string) => startersChanged(ask(agency.dropStarter, { params: { id } }))
export const starterAddress = (id: string) => agency.starterFile.path.replace(':id', id)
