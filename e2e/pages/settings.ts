import { join } from 'node:path'
import { readSettings } from '../../bin/launch/settings.mjs'

/** Which of the workers that run side by side this is; each has a system, a database and ports of its own. */
const worker = Number(process.env.TEST_PARALLEL_INDEX ?? 0)
const apart = 20 * worker
const base = readSettings({ forTests: true })

export const settings = {
  ...base,
  port: base.port + apart,
  standinsPort: base.standinsPort + apart,
  dbPort: base.dbPort + apart,
  data: join(base.data, `e2e-${worker}`),
}
