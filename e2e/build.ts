import { buildWhatIsStale } from '../bin/launch/build.mjs'

/** Once, before any worker starts a system. */
export default () => buildWhatIsStale((line: string) => console.log(line))
