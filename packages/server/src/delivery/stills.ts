import { Resvg } from '@resvg/resvg-js'
import { stillForms, type StillForm } from '@pebblestrand/core/artefacts'
import { picturedIn, type Kind, type Settings, type View } from '@pebblestrand/core/kinds'
import { siteColours, type SiteLook } from '@pebblestrand/core/look'
import { drawPicture, picturedAsText, type PictureColours } from '@pebblestrand/core/pictured'
import { Op, type Transaction } from 'sequelize'
import type { Install } from '../installs/models'
import { Artefact, type ArtefactFacts } from '../artefacts/models'

/** A picture of an install in all its forms, and what a snippet says of it. */
export interface Stills {
  forms: { form: StillForm; contentType: string; text: string | Buffer }[]
  facts: NonNullable<ArtefactFacts['still']>
}

/** The faces that a drawing asks for, where a machine has them; any plain one else. */
const FACE = 'Liberation Sans'

/** Dots of a drawing of ours, at so many times its size. The library that copies visitors' pictures opens no drawings, and stays so. */
export const dotsOf = (svg: string, scale: number): Buffer =>
  new Resvg(svg, {
    fitTo: { mode: 'zoom', value: scale },
    font: { loadSystemFonts: true, defaultFontFamily: FACE, sansSerifFamily: FACE },
    logLevel: 'off',
  })
    .render()
    .asPng()

/** Draws what a view says; null of a kind without pictures, or where there is nothing to say. */
export function drawStills(kind: Kind, view: View<Settings>, look: SiteLook | null, width: number): Stills | null {
  const pictured = picturedIn(kind, view)
  if (!pictured) return null
  const { svg, ...size } = drawPicture(pictured, width, coloursOf(kind, view.settings, look))
  const bytes: Record<StillForm, string | Buffer> = {
    still: dotsOf(svg, 1),
    'still-2': dotsOf(svg, 2),
    'still-svg': svg,
  }
  return {
    forms: (Object.keys(stillForms) as StillForm[]).map((form) => ({
      form,
      contentType: stillForms[form],
      text: bytes[form],
    })),
    facts: { ...size, says: picturedAsText(pictured) },
  }
}

/** As the widget looks on that site: a picture has one theme, the first. */
function coloursOf(kind: Kind, settings: Settings, look: SiteLook | null): PictureColours {
  const site = siteColours(look)
  const pairs = kind.pairs?.(settings, site) ?? []
  const of = (what: string) => pairs.find((pair) => pair.what === what)
  const text = of('Text')
  const accent = of('Stars') ?? of('Numbers in the accent') ?? of('A link under the pointer')
  return {
    text: text?.colour ?? site.text,
    background: text?.grounds[0] ?? site.background,
    accent: accent?.colour ?? (site.accent || site.text),
  }
}

/** Which installs have a picture: those that stand by one, and those that did, since it may stand there still. */
export async function withStills(installs: readonly Install[], transaction: Transaction): Promise<Set<string>> {
  const others = installs.filter(({ method }) => method !== 'picture').map(({ id }) => id)
  const before = await Artefact.findAll({
    attributes: ['installId'],
    where: { installId: { [Op.in]: others }, form: 'still' },
    transaction,
  })
  return new Set([
    ...installs.filter(({ method }) => method === 'picture').map(({ id }) => id),
    ...before.map(({ installId }) => installId!),
  ])
}
