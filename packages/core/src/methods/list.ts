import { frame } from './frame'
import { inline } from './inline'
import type { Method } from './method'

/** Every method, best first: a script gives more than a frame. Adding one: its file, and a line here. */
export const methods = { inline, frame } as const satisfies Record<string, Method>

export type MethodId = keyof typeof methods
export const methodIds = Object.keys(methods) as [MethodId, ...MethodId[]]

/** The same, each seen through the face all share. */
export const methodList: readonly (Method & { id: MethodId })[] = methodIds.map((id) => methods[id])
