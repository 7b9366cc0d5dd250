import { frame } from './frame'
import { inline } from './inline'
import { link } from './link'
import type { Method } from './method'
import { methodIds, type MethodId } from './names'
import { opener } from './opener'
import { picture } from './picture'
import { shortcode } from './shortcode'
import { tag } from './tag'

/** Every method. Adding one: its file, a line here, and its names (names.ts). */
export const methods = { tag, inline, shortcode, frame, link, opener, picture } as const satisfies Record<
  MethodId,
  Method
>

/** The same, each seen through the face all share, in the order of their names. */
export const methodList: readonly (Method & { id: MethodId })[] = methodIds.map((id) => methods[id])
