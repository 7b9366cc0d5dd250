import { z } from 'zod'
import { designOf } from './design'
import type { Kind, Settings } from './kind'
import { kindOf } from './list'
import { readSettings } from './read-settings'

/** A design as a file: JSON by this schema, which docs/starter-file.schema.json is written from. */
export const StarterFile = z
  .object({
    format: z.literal('pebblestrand starter').describe('What the file is.'),
    version: z.literal(1).describe('Of this format.'),
    kind: z.string().min(1).max(60).describe('Id of the kind of widget.'),
    kindVersion: z.int().min(1).describe('Version of the kind whose settings these are.'),
    name: z.string().trim().min(1).max(60).describe('What the design is called.'),
    settings: z
      .record(z.string(), z.unknown())
      .describe('Settings of the kind; what is left out is as usual. None that name sources or single items.'),
  })
  .meta({ title: 'A widget’s design', id: 'https://pebblestrand.example/starter-file.schema.json' })
export type StarterFile = z.infer<typeof StarterFile>

export const starterFile = (kind: Kind, name: string, settings: Settings): StarterFile => ({
  format: 'pebblestrand starter',
  version: 1,
  kind: kind.id,
  kindVersion: kind.version,
  name,
  settings: designOf(kind, settings),
})

export type ReadStarter =
  { kind: 'read'; of: Kind; name: string; settings: Settings } | { kind: 'fault'; message: string }

/** What a file holds; a design of an older version is brought up to now, and what its kind does not take is left out. Never throws. */
export function readStarterFile(text: string): ReadStarter {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return { kind: 'fault', message: 'is not JSON: choose a file that was saved from here as a starter' }
  }
  const read = StarterFile.safeParse(json)
  if (!read.success) {
    const [issue] = read.error.issues
    return { kind: 'fault', message: `is no starter: ${issue!.path.join('.') || 'it'} ${issue!.message.toLowerCase()}` }
  }
  const { kind: id, kindVersion, name, settings } = read.data
  const of = kindOf(id)
  if (!of) return { kind: 'fault', message: `is for a kind of widget that is not known here: ${id}` }
  if (kindVersion > of.version)
    return { kind: 'fault', message: 'is from a newer Pebblestrand than this one: bring this one up to date first' }
  return { kind: 'read', of, name, settings: designOf(of, readSettings(of, settings, kindVersion) as Settings) }
}
