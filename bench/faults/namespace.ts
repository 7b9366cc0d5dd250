import { spawn, spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { createInterface } from 'node:readline'
import { root } from '../../bin/launch/settings.mjs'
import { words, type Told } from './ground'

/** Lines of the child's output that tell something begin so. */
const MARK = 'told: '

/** In the child: tells what came of a fault. */
export const tell = (told: Told) => process.stdout.write(`${MARK}${JSON.stringify(told)}\n`)

/**
 * Runs a file of this folder with file systems (and network) of its own (unshare(1)), which end with it: what is mounted there, nobody
 * else sees. Root alone can; elsewhere it is told as not tried.
 * @param flags of unshare
 */
export async function inNamespace(file: string, flags: readonly string[], fault: string): Promise<Told[]> {
  if (process.getuid?.() !== 0 || spawnSync('unshare', [...flags, 'true']).status !== 0)
    return [{ fault, seen: 'needs root and namespaces (unshare)', well: null }]
  const child = spawn(
    'unshare',
    [...flags, process.execPath, '--import', 'tsx', fileURLToPath(new URL(file, import.meta.url))],
    { cwd: root, stdio: ['ignore', 'pipe', 'inherit'] },
  )
  const all: Told[] = []
  createInterface({ input: child.stdout }).on('line', (line) => {
    if (!line.startsWith(MARK)) return void process.stdout.write(`${line}\n`)
    const told = JSON.parse(line.slice(MARK.length)) as Told
    all.push(told)
    process.stdout.write(`${words(told.well)}  ${told.fault}: ${told.seen}\n`)
  })
  const status = await new Promise<number | null>((resolve) => child.on('exit', resolve))
  if (status !== 0) all.push({ fault, seen: `the trial ended with ${status}`, well: false })
  return all
}
