import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import type { RequestListener } from 'node:http'
import { askCheck, ended, plannedSite } from '../planned-site'
import { pause, type Ground } from './ground'

const SIZE = 2 * 2 ** 30
const part = Buffer.from('<p>Nothing but words, over and over again.</p>'.repeat(1500))

/** Says nothing of its size, and sends as fast as it is read. */
const endlessly =
  (counted: { bytes: number }): RequestListener =>
  (_request, response) => {
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' })
    let sent = 0
    const more = (): void => {
      while (sent < SIZE) {
        sent += part.length
        counted.bytes += part.length
        if (!response.write(part)) return void response.once('drain', more)
      }
      response.end('</main>')
    }
    more()
  }

/** A page of 2 GB, read plainly and in a browser. */
export default async function hugePages(ground: Ground): Promise<void> {
  const counted = { bytes: 0 }
  const site = await plannedSite(ground.owner, 'huge', 1, endlessly(counted))
  const most = { mb: 0 }
  const watching = watchMemory(ground.system.server.child.pid!, most)
  const states: string[] = []
  for (let i = 0; i < 2; i++) states.push(await ended(ground.owner, await askCheck(ground.owner, site.installs[0]!)))
  watching.stop()
  const { status } = await fetch(`http://127.0.0.1:${ground.own.port}/api/health`)
  ground.note(
    'a page of 2 GB, checked twice, plainly and in a browser',
    `checks ${states.join(' and ')}, ${Math.round(counted.bytes / 2 ** 20)} MB were sent of it, server and browser took ${most.mb} MB at most, health ${status}`,
    states.every((state) => state === 'done') && most.mb < 2500 && status === 200,
  )
  await site.stop()
}

/** Follows what a process and those that it started hold in memory, in MB. */
function watchMemory(pid: number, most: { mb: number }) {
  let going = true
  const watch = async () => {
    while (going) {
      most.mb = Math.max(most.mb, heldBy(pid))
      await pause(250)
    }
  }
  void watch()
  return { stop: () => void (going = false) }
}

function heldBy(pid: number): number {
  const children = new Map<number, number[]>()
  for (const line of execFileSync('ps', ['-eo', 'pid=,ppid=']).toString().trim().split('\n')) {
    const [child, parent] = line.trim().split(/\s+/).map(Number) as [number, number]
    children.set(parent, [...(children.get(parent) ?? []), child])
  }
  const of = (one: number): number =>
    [one, ...(children.get(one) ?? [])].reduce((sum, each) => sum + (each === one ? own(one) : of(each)), 0)
  return Math.round(of(pid))
}

/** Its share of what is shared counted once (proc(5), smaps_rollup, Pss). */
function own(pid: number): number {
  try {
    return Number(/^Pss:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8'))?.[1] ?? 0) / 1024
  } catch {
    return 0 // it has ended meanwhile
  }
}
