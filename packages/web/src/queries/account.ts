import { routes } from '@pebblestrand/contract'
import { ask } from '../api/call'
import { everythingChanged, useAsk } from './query'

const { accounts } = routes

export const useSessions = () => useAsk(accounts.sessions, () => ({ query: { size: 200 } }))
export const useSignIns = (page: () => number) =>
  useAsk(accounts.signIns, () => ({ query: { page: page(), size: 20 } }), { keep: true })

/** Gives how many sessions ended elsewhere. */
export async function changePassword(current: string, wanted: string): Promise<number> {
  const { ended } = await ask(accounts.changePassword, { body: { current, wanted } })
  await everythingChanged()
  return ended
}

export async function endSession(id: string): Promise<void> {
  await ask(accounts.endSession, { params: { id } })
  await everythingChanged()
}

export async function endOtherSessions(): Promise<number> {
  const { ended } = await ask(accounts.endOthers, {})
  await everythingChanged()
  return ended
}
