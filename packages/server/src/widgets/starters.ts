import { readSettings, type Kind, type Settings } from '@pebblestrand/core/kinds'
import { AgencyStarter } from './agency-starters'
import { AppError } from '../platform/errors'

/** A starter of the agency's own is named by its id behind this. */
const OWN = 'own:'

/** What a design says of settings, and what it is called; null for none of this kind. */
export async function starterOf(kind: Kind, id: string): Promise<{ name: string; settings: Settings } | null> {
  if (!id.startsWith(OWN)) return kind.starters.find((starter) => starter.id === id) ?? null
  const own = await AgencyStarter.findByPk(id.slice(OWN.length)).catch(() => null)
  if (own?.kind !== kind.id) return null
  return { name: own.name, settings: readSettings(kind, own.settings, own.kindVersion) }
}

/** The same of one that is asked for by name. */
export async function requireStarter(kind: Kind, id: string | null | undefined): Promise<Settings> {
  if (!id) return {}
  const starter = await starterOf(kind, id)
  if (!starter) throw new AppError('invalid', { issues: [{ field: 'starter', message: 'is no starter of this kind' }] })
  return starter.settings
}
