import type { ReadRoom } from '../queries/site-readings'
import type { RoomChoice } from './RoomList.vue'

/** What was read, as a choice of what to keep. */
export const choiceOf = ({ widths, ...room }: ReadRoom): RoomChoice => ({ ...room, ...widths, kept: true })

const number = (value: number | null) => (typeof value === 'number' && !Number.isNaN(value) ? value : null)

/** A choice as the server takes it; what a person wrote over a measured width is theirs. */
export function roomToKeep(
  { name, region, on, measured, desktop, tablet, phone }: RoomChoice,
  read: ReadRoom | undefined,
) {
  const same = read?.widths.desktop === desktop
  return {
    name,
    region,
    on,
    width: number(desktop) as number,
    widthTablet: number(tablet),
    widthPhone: number(phone),
    known: !same ? ('noted' as const) : measured ? ('read' as const) : ('assumed' as const),
  }
}
