import { describe, expect, it } from 'vitest'

const launch = new URL('../launch/system-packages.mjs', import.meta.url)
const { ensureSystemPackages } = (await import(launch.href)) as {
  ensureSystemPackages(
    wanted: string[],
    say: (line: string) => void,
    machine: { has(name: string): boolean; asRoot(): string[] | null; run(command: string[]): void },
  ): void
}

function trial(present: string[], before: string[] | null) {
  const ran: string[] = []
  const said: string[] = []
  const machine = {
    has: (name: string) => present.includes(name),
    asRoot: () => before,
    run: (command: string[]) => void ran.push(command.join(' ')),
  }
  const run = () => ensureSystemPackages(['postgresql', 'chromium-headless-shell'], (line) => said.push(line), machine)
  return { run, ran, said }
}

describe('Debian packages', () => {
  it('that are there are left alone', () => {
    const { run, ran, said } = trial(['postgresql', 'chromium-headless-shell'], [])
    run()
    expect([ran, said]).toEqual([[], []])
  })
  it.each([
    ['root', [], ''],
    ['who may use sudo', ['sudo', '-n'], 'sudo -n '],
  ])('that are missing are installed by %s', (_who, before, prefix) => {
    const { run, ran, said } = trial(['postgresql'], before)
    run()
    expect(ran).toEqual([
      `${prefix}apt-get update`,
      `${prefix}apt-get install -y --no-install-recommends chromium-headless-shell`,
    ])
    expect(said).toEqual(['Installing chromium-headless-shell …'])
  })
  it('that nobody here may install are named in one line with the exact command', () => {
    const { run, ran } = trial([], null)
    expect(run).toThrow(
      /^This machine lacks postgresql and chromium-headless-shell\. Run this, then start again: {2}sudo apt-get install -y --no-install-recommends postgresql chromium-headless-shell$/,
    )
    expect(ran).toEqual([])
  })
})
