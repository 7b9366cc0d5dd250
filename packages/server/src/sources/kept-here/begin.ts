import { sourceKinds } from '@pebblestrand/core/sources'
import type { Context } from '../../platform/context'
import { beginHere } from '../begin-here'

export const KEPT_HERE = sourceKinds['kept-here']!.id

/** Begins a source of reviews that are kept here. */
export const beginKept = (context: Pick<Context, 'config'>, title: string) => beginHere(context, KEPT_HERE, title)
