import { buildWhatIsStale } from '../bin/launch/build.mjs'
import { checks, sieve } from './core'
import { delivery } from './delivery'
import { tell } from './stand'

// Ratios within one run: machines differ, and so does one machine from minute to minute.
await buildWhatIsStale(() => {})
const well = tell([sieve(), checks(), ...(await delivery())])
process.exit(well ? 0 : 1)
