import { readFile } from 'node:fs/promises'
import { minVersion, satisfies } from 'semver'
import { describe, expect, it } from 'vitest'

interface Locked {
  version?: string
  engines?: { node?: string }
}

const root = new URL('../..', import.meta.url)
const json = async (name: string): Promise<unknown> => JSON.parse(await readFile(new URL(name, root), 'utf8'))

describe('every locked package runs on the Node.js that the project asks for', () => {
  it.each(['the lowest that package.json allows', 'the one at work here'])('%s', async (which) => {
    const { engines } = (await json('package.json')) as { engines: { node: string } }
    const node = which.startsWith('the lowest') ? minVersion(engines.node)! : process.versions.node
    const { packages } = (await json('package-lock.json')) as { packages: Record<string, Locked> }
    const asking = Object.entries(packages).filter(([, locked]) => locked.engines?.node)
    const refusing = asking
      .filter(([, locked]) => !satisfies(node, locked.engines!.node!))
      .map(([where, locked]) => `${where}@${locked.version} wants Node.js ${locked.engines!.node}`)
    expect(asking.length).toBeGreaterThan(100)
    expect(refusing).toEqual([])
  })
})
