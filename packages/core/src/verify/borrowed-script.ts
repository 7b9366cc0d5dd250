import { methods } from '../methods'
import { position } from './page'
import type { Plan } from './plan'
import { scriptsFor, type Seen } from './seen'
import type { Trace } from './traces'

const needsScript = ({ method }: Trace) => (methods[method].needs as readonly string[]).includes('script')

/**
 * Whether an install that needs our script stands on the page without one of its own while other installs of ours bring theirs:
 * between its element and the next of ours (or the one before it) no script of ours stands. Scripts that stand away from every
 * element, in the head or at the end of the body, are the page's own: one for all.
 */
export function borrowsScript(plan: Plan, seen: Seen): boolean {
  const [mine] = seen.mine
  if (!mine || mine.within || !needsScript(mine)) return false
  const widgets = seen.traces.live.filter((trace) => !trace.within && needsScript(trace))
  const scripts = scriptsFor(seen, mine).filter(({ runs, origin }) => runs && origin === plan.origin)
  if (!scripts.length || scripts.length >= widgets.length || widgets.length < 2) return false
  const own = widgets.filter((widget) => scripts.some((script) => isBeside(widget, script)))
  // Where all scripts stand beside a widget and none beside this one, it lives on another's.
  return own.length === scripts.length && !own.some(({ node }) => node === mine.node)
}

/** A snippet is pasted whole: its script stands next to its element, with nothing but white space between. */
function isBeside({ node }: Trace, script: { node: Trace['node'] }): boolean {
  if (node.parent === script.node.parent) {
    let at = node.next
    while (at && (at.type === 'text' ? !at.data.trim() : at.type === 'comment')) at = at.next
    return at === script.node
  }
  const [end, start] = [node.sourceCodeLocation?.endOffset, position(script.node)?.offset]
  return end !== undefined && start !== undefined && start >= end && start - end < 40
}
