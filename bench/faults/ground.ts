import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { settled } from '../../bin/launch/settled.mjs'
import { startSystem } from '../../bin/launch/system.mjs'
import { Owner } from '../owner'
import { settings } from '../stand'

type System = Awaited<ReturnType<typeof startSystem>>

/** Of one fault: what was seen, and whether the product held. Null: it could not be tried here, and why. */
export interface Told {
  fault: string
  seen: string
  well: boolean | null
}

/** A running system with the demo's data, whose parts can be taken away and put back. */
export class Ground {
  readonly owner = new Owner()
  readonly told: Told[] = []

  private constructor(
    readonly own: typeof settings,
    private readonly env: Record<string, string>,
    public system: System,
  ) {}

  /** @param name of a folder of its own below the tests' data */
  static async start(name: string, env: Record<string, string> = {}): Promise<Ground> {
    const own = { ...settings, data: join(settings.data, name) }
    rmSync(own.data, { recursive: true, force: true })
    const system = await startSystem(own, { durable: false, env })
    const ground = new Ground(own, env, system)
    await ground.owner.signIn()
    return ground
  }

  note(fault: string, seen: string, well: boolean | null): void {
    this.told.push({ fault, seen, well })
    process.stdout.write(`${words(well)}  ${fault}: ${seen}\n`)
  }

  /** Ends the server outright, as a crash would, and starts it again on what it left. */
  async killAndStart(env: Record<string, string> = {}): Promise<void> {
    process.kill(this.system.server.child.pid!, 'SIGKILL')
    await this.startAgain(env)
  }

  async startAgain(env: Record<string, string> = {}): Promise<void> {
    await this.system.stop()
    this.system = await startSystem(this.own, { durable: false, env: { ...this.env, ...env } })
    await this.owner.signIn()
  }

  settled = () => settled(this.system.databaseUrl)
  stop = () => this.system.stop()
}

export const words = (well: boolean | null) => (well === null ? 'untried' : well ? 'held   ' : 'FAILED ')

export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** What work gives, and the whole milliseconds it took. */
export async function timed<T>(work: () => Promise<T>): Promise<[T, number]> {
  const began = performance.now()
  return [await work(), Math.round(performance.now() - began)]
}

/** Asks again and again until it is so; false when the time is over. */
export async function until(isSo: () => Promise<boolean>, mostMs: number): Promise<boolean> {
  for (const end = Date.now() + mostMs; Date.now() < end; await pause(200))
    if (await isSo().catch(() => false)) return true
  return false
}
