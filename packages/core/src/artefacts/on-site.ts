import { siteVariables, type SiteLook } from '../look'

/** What "the site's own" colours are, for a widget that stands on it; nothing where nobody has noted them. */
export function onSite<T extends { css: string }>(rendered: T, look: SiteLook | null): T {
  const variables = siteVariables(look)
  return variables ? { ...rendered, css: `:host{${variables}}${rendered.css}` } : rendered
}
