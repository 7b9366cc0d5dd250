import { expect, it } from 'vitest'
import { cases } from '../../corpus/corpus'
import { install, ours, Site, skeletons, snippet } from '../../corpus/site'
import type { Look } from './look'
import { Plan } from './plan'
import { verify } from './verify'

const look = (how: Look['how'], html: string): Look => ({
  how,
  url: 'https://ferries.example/t',
  finalUrl: 'https://ferries.example/t',
  status: 200,
  headers: {},
  html,
  at: '2026-11-24T12:00:00Z',
  ms: 12,
  error: null,
})

it('tells what was looked for, what each look showed, and what decided', () => {
  const site = new Site(
    skeletons.find(({ name }) => name === 'landmarks-de')!,
    'sidebar',
  )
  const plan = Plan.parse({ install, origin: ours, placement: { region: 'sidebar', width: 300 } })
  const held = snippet().replace('<script', '<script type="text/plain"')
  expect(verify(plan, [look('served', site.with(held)), look('fresh', site.with(snippet()))]).reasoning).toEqual([
    { about: 'for', says: [expect.stringContaining(`The install ${install} from ${ours}, in the sidebar`)] },
    {
      about: 'served',
      says: [
        'Answered 200.',
        'A copy by element and script in the sidebar, known by the landmarks of the page.',
        `Our script from ${ours}, which browsers do not run as it stands there.`,
      ],
    },
    {
      about: 'fresh',
      says: [
        'Answered 200.',
        'A copy by element and script in the sidebar, known by the landmarks of the page.',
        `Our script from ${ours}.`,
      ],
    },
    { about: 'decided', says: ['An old copy is being served. (cached-copy), by the page as served.'] },
  ])
})

it('says something of every look, whatever happened to the page', () => {
  for (const { plan, looks, says } of cases()) {
    const { reasoning } = verify(plan, looks)
    expect(reasoning).toHaveLength(looks.length + 2)
    for (const step of reasoning) expect(step.says.join('').length).toBeGreaterThan(5)
    for (const code of says) expect(reasoning.at(-1)!.says.join(' ')).toContain(`(${code})`)
  }
})
