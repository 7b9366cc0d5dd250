import type { Element } from 'domhandler'
import { methodList } from './list'
import type { MethodId } from './names'
import type { ElementReading } from './method'

/** What an element is to us, and by which method; null where it is nothing of ours. */
export function readElement(element: Element): (ElementReading & { method: MethodId }) | null {
  for (const method of methodList) {
    const read = method.read(element)
    if (read) return { ...read, method: method.id }
  }
  return null
}

const first = <T>(ask: (method: (typeof methodList)[number]) => T | null | undefined): T | null => {
  for (const method of methodList) {
    const answer = ask(method)
    if (answer != null) return answer
  }
  return null
}

/** Where our script is loaded from by this element, and whether it runs; null where it is no script of ours. */
export const readScript = (element: Element) => first((method) => method.readScript?.(element))

/** The id in what an editor left of a snippet. */
export const readRemnant = (element: Element) => first((method) => method.readRemnant?.(element))

/** What stands right before an id in the text of any method. */
export const beforeIds: readonly string[] = [...new Set(methodList.flatMap((method) => method.beforeId))]
