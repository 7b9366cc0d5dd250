import { judge, type Verdict } from './judge'
import { readLook, type Look } from './look'
import type { Plan } from './plan'
import { reasoningOf, type Step } from './reasoning'

/** A verdict, and how it came about. */
export interface Verified extends Verdict {
  reasoning: Step[]
}

/** Looks at one page, read and judged for every install planned on it, in the order of the plans. */
export function verifyPage(plans: readonly Plan[], looks: readonly Look[]): Verified[] {
  const read = looks.map(readOrSay)
  return plans.map((plan) => {
    const verdict = judge(plan, read)
    return { ...verdict, reasoning: reasoningOf(plan, read, verdict.findings) }
  })
}

/** A page that is too tangled to be read is one that could not be seen. */
function readOrSay(look: Look) {
  try {
    return readLook(look)
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    const message = 'The page is too tangled to be looked through: it is nested too deep, or too crowded.'
    return readLook({ ...look, html: '', error: { code: 'tangled', message } })
  }
}

export const verify = (plan: Plan, looks: readonly Look[]): Verified => verifyPage([plan], looks)[0]!
