import { partsOf, type Kind, type Rendered, type Settings } from '../kinds'
import { scopeCss } from './scope'

/** Px that a shadow needs around a widget. */
const ROOM = 16

/** What keeps a widget within its place, whatever its own CSS says: nothing of it is painted outside (CSS Containment 1, section 3.3). */
const contained = `:host{contain:paint;overflow-clip-margin:${ROOM}px}`

/** A widget with its own CSS behind its kind's. */
export function withOwnCss(kind: Kind, settings: Settings, rendered: Rendered): Rendered {
  const source = settings.ownCss
  if (typeof source !== 'string' || !source.trim()) return rendered
  const overPage = kind.presence?.(settings)?.overPage ?? false
  const { css } = scopeCss(source, { parts: Object.keys(partsOf(kind)), overPage })
  return css ? { ...rendered, css: `${rendered.css}${overPage ? '' : contained}${css}` } : rendered
}
