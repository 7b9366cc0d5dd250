import { readFileSync } from 'node:fs'
import autocannon from 'autocannon'
import { giving } from '../../packages/server/src/testing/faults/host'
import { askCheck, plannedSite } from '../planned-site'
import { plannedForm } from '../planned-form'
import { settings } from '../stand'
import type { Ground } from './ground'
import { sendForm } from './sent-form'

const MINUTES = Number(process.env.FAULTS_MINUTES ?? 10)

/** MB that a process holds now (proc(5), VmRSS). */
const heldBy = (pid: number) =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024)

/** Minutes of visitors, forms, checks and people at work; what the server holds is read at the end of each. */
export default async function memory(ground: Ground): Promise<void> {
  const site = await plannedSite(ground.owner, 'memory', 20, giving(`<main>${'<p>Hello</p>'.repeat(2000)}</main>`))
  const { path } = await plannedForm(ground.owner, { name: 'Sent for minutes' })
  const { publicId } = await ground.owner.ask<{ publicId: string }>('GET', `/api/installs/${site.installs[0]}`)
  const pid = ground.system.server.child.pid!
  const held: number[] = []
  let served = 0
  for (let minute = 0; minute < MINUTES; minute++) {
    const load = autocannon({
      url: `http://127.0.0.1:${settings.port}`,
      connections: 10,
      duration: 60,
      overallRate: 300,
      requests: [
        { path: `/p2/${publicId}.json` },
        { path: '/strand.js' },
        { path: `/p2/22222-22222-22222-22222.json` },
        { path: `/not/there/${'x'.repeat(200)}` },
      ],
    })
    const visitors = async (): Promise<void> => {
      for (const end = Date.now() + 58_000; Date.now() < end;) {
        await sendForm(path, { name: 'A visitor', email: `visitor-${Date.now()}@visitor.example`, message: 'Hello' })
        await ground.owner.ask('GET', '/api/today')
        await askCheck(ground.owner, site.installs[minute % 20]!)
      }
    }
    const [result] = await Promise.all([load, visitors()])
    served += result.requests.total
    held.push(heldBy(pid))
  }
  // The first third fills what is meant to be kept at hand; after it, it must not go on growing.
  const third = Math.max(1, Math.floor(MINUTES / 3))
  const before = Math.max(...held.slice(0, third))
  const after = Math.min(...held.slice(-third))
  ground.note(
    `${MINUTES} minutes of load`,
    `${served} requests; held each minute, MB: ${held.join(' ')}`,
    after < before * 1.25 + 40,
  )
  await site.stop()
}
