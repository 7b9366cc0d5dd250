import type { Tried } from '@pebblestrand/contract'
import { kindsGiving, type Given, type Meant, type SourceKind } from '@pebblestrand/core/sources'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { connectors, type Finding, type Search } from './connector'

/** From whatever a person has on the clipboard to the sources behind it, each with its newest items, and what was tried; `tell` hears of each try. */
export async function findSources(
  context: Context,
  given: string,
  gives: readonly Given[],
  tell: (tried: Tried) => void = () => {},
): Promise<Finding> {
  const { kind, meant } = recognised(given, gives)
  const search: Search = {
    gives,
    tell,
    other: (id, meant) => connectors[id]!.find(context, meant, search),
  }
  return connectors[kind.id]!.find(context, meant, search)
}

/** The first sort of source that what was pasted can mean. */
function recognised(given: string, gives: readonly Given[]): { kind: SourceKind; meant: Meant } {
  for (const kind of kindsGiving(gives)) {
    const meant = kind.recognise(given)
    if (meant) return { kind, meant }
  }
  throw new AppError('address-refused', {
    message: 'There is no address in what was pasted.',
    remedy: 'Paste the address of a page, or the code that shows it on other pages.',
    issues: [{ field: 'address', message: 'has no address in it' }],
  })
}
