// bin/pebble needs the packages and one bundle, nothing else.
import { buildWhatIsStale } from './build.mjs'
import { orComplain } from './complaint.mjs'
import { ensureNodePackages } from './node-packages.mjs'

const say = (line) => console.log(line)
orComplain(async () => {
  ensureNodePackages(say)
  await buildWhatIsStale(say, ['pebble'])
})
