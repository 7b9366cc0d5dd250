import type { z } from 'zod'
import type { Item } from '../items'
import type { FitSpec } from '../layout'
import type { Order, Rule } from '../sieve'

/** What a payload is made with, beside settings and items. Names of sources by id. */
export interface PayloadContext {
  publicId: string
  release: number
  widgetName: string
  sources: Record<string, { title: string; link: string | null }>
}

/** What every kind's payload carries; the renderer of the kind knows the rest. */
export interface PayloadBase {
  v: 1
  kind: string
  id: string
  release: number
  /** Said where a frame or a link needs a title. */
  name: string
}

export interface Starter<S> {
  id: string
  name: string
  settings: Partial<S>
}

/** A widget kind: data plus a renderer (the renderer lives in packages/widget). */
export interface Kind<S = Record<string, unknown>, P extends PayloadBase = PayloadBase> {
  id: string
  name: string
  /** One line that says what it is for. */
  purpose: string
  settings: z.ZodType<S> & { shape: Record<string, z.ZodType> }
  starters: Starter<S>[]
  /** Noun for what is shown: singular, plural. */
  noun: [string, string]
  rules(settings: S): Rule[]
  order(settings: S): Order
  fitSpec(settings: S): FitSpec
  /** Colours that must be readable on each other; an unset one is the site's. */
  colours(settings: S): { text: string; background: string; accent: string }
  payload(settings: S, shown: readonly Item[], context: PayloadContext): P
  /** Height in px that the payload takes in a width; for the space a snippet reserves. */
  height(payload: P, width: number): number
}
