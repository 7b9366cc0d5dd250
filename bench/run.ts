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
import { tell } from './stand'
import { firstPaintOf100, masonryOf500, wallOf200 } from './walls'
import { browserLooks, flatMemory } from './verdicts'

// Ratios within one run: machines differ, and so does one machine from minute to minute.
await buildWhatIsStale(() => {})
const well = tell([
  sieve(),
  checks(),
  tenOnOnePage(),
  flatMemory(),
  payloadOf200(),
  masonryOf500(),
  wallOf200(),
  nearestColour(),
  scoping(),
  takingALook(),
  advicesAndTexts(),
  deciding(),
  await placeOf4000(),
  await firstPaintOf100(),
  await fiveOverAPage(),
  ...(await browserLooks()),
  ...(await delivery()),
  ...(await submissions()),
  ...(await estate()),
  ...(await hangingSite()),
])
process.exit(well ? 0 : 1)
