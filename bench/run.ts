import { buildWhatIsStale } from '../bin/launch/build.mjs'
import { checks, sieve, tenOnOnePage } from './core'
import { delivery } from './delivery'
import { estate } from './estate'
import { hangingSite } from './hanging-site'
import { nearestColour, scoping, takingALook } from './looks'
import { fiveOverAPage } from './over-page'
import { deciding } from './presence'
import { payloadOf200, placeOf4000 } from './reviews'
import { advicesAndTexts } from './snippets'
import { submissions } from './submissions'
import { tell, type Ratio } from './stand'
import { firstPaintOf100, masonryOf500, wallOf200 } from './walls'
import { browserLooks, flatMemory } from './verdicts'

// Ratios within one run: machines differ, and so does one machine from minute to minute. Names after `npm run bench --` choose some.
const parts: Record<string, () => Promise<Ratio[]> | Ratio[]> = {
  sieve: () => [sieve()],
  checks: () => [checks(), tenOnOnePage(), flatMemory()],
  reviews: async () => [payloadOf200(), await placeOf4000()],
  walls: async () => [masonryOf500(), wallOf200(), await firstPaintOf100()],
  looks: () => [nearestColour(), scoping(), takingALook()],
  snippets: () => [advicesAndTexts()],
  presence: async () => [deciding(), await fiveOverAPage()],
  browser: browserLooks,
  delivery,
  submissions,
  estate,
  hanging: hangingSite,
}
const chosen = process.argv.slice(2)
const unknown = chosen.find((name) => !(name in parts))
if (unknown) throw new Error(`There is no part called ${unknown}; there are ${Object.keys(parts).join(', ')}.`)
await buildWhatIsStale(() => {})
const ratios: Ratio[] = []
for (const [name, measure] of Object.entries(parts))
  if (!chosen.length || chosen.includes(name)) ratios.push(...(await measure()))
process.exit(tell(ratios) ? 0 : 1)
