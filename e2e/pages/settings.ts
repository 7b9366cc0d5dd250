import { join } from 'node:path'
import { readSettings } from '../../bin/launch/settings.mjs'

export const base = readSettings({ forTests: true })

/** Where the demo is made that all workers copy. */
export const demo = { database: 'e2e_demo', data: join(base.data, 'e2e', 'demo') }

/** Which of the workers that run side by side this is. */
const worker = Number(process.env.TEST_PARALLEL_INDEX ?? 0)

/** The demo's addresses stand in its data, with their ports: each worker has the same, at an address of its own. */
export const loopbackOf = (index: number) => `127.0.0.${2 + index}`

/** A worker's own system and database. */
export const settings = {
  ...base,
  loopback: loopbackOf(worker),
  database: `e2e_${worker}`,
  data: join(base.data, 'e2e', `worker-${worker}`),
}
