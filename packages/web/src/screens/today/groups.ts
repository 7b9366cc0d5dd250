import type { WaitingThing } from '../../api/types'

/** What the hands do, in the order it is best done; things with no finding are told by their status. */
const hands = [
  { id: 'cache', name: 'Clear a cache' },
  { id: 'publish', name: 'Publish there' },
  { id: 'look', name: 'Look at' },
  { id: 'paste', name: 'Paste' },
  { id: 'check', name: 'Check' },
] as const

export type HandsId = (typeof hands)[number]['id']

const handsOf = (thing: WaitingThing): HandsId =>
  thing.status === 'needs-a-hand' ? (thing.hands ?? 'look') : thing.status === 'pasted' ? 'check' : 'paste'

export function grouped(waiting: WaitingThing[]): { id: HandsId; name: string; things: WaitingThing[] }[] {
  return hands
    .map((group) => ({ ...group, things: waiting.filter((thing) => handsOf(thing) === group.id) }))
    .filter((group) => group.things.length > 0)
}
