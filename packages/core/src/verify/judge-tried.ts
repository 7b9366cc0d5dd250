import type { FindingCode } from './catalogue'
import type { Finding } from './finding'
import type { Plan } from './plan'
import { note, type Seen } from './seen'
import type { Sight, Trial } from './sight'

/** What a trial that went wrong means. */
const meaning: Record<Trial, FindingCode> = {
  appears: 'does-not-appear',
  closes: 'cannot-be-closed',
  'stays-closed': 'appears-anyway',
  'not-on-phones': 'appears-anyway',
  'not-outside': 'appears-anyway',
  'not-elsewhere': 'appears-anyway',
  'leaves-consent': 'covers-consent',
}

/** Something over the page, tried out in a browser: each sort of fault once, with how it was tried. */
export function judgeTried(plan: Plan, shown: readonly { seen: Seen; sight: Sight }[]): Finding[] {
  for (const { seen, sight } of [...shown].reverse()) {
    const tried = sight.tried?.find(({ id }) => id === plan.install)
    if (!tried) continue
    const wrong = tried.trials.filter(({ well }) => well === false)
    // Where it never appeared, nothing else was seen of it.
    const said = wrong.some(({ trial }) => trial === 'appears')
      ? wrong.filter(({ trial }) => trial === 'appears')
      : wrong
    return [...new Set(said.map(({ trial }) => meaning[trial]))].map((code) => {
      const how = said.filter(({ trial }) => meaning[trial] === code).map((one) => one.how)
      return note(code, { problem: how.join('; ') }, seen, seen.mine)
    })
  }
  return []
}
