import type { Rendered } from '@pebblestrand/core/kinds'
import { loadFont } from './font'

/** Puts what was rendered into an element: a shadow root of its own, so that neither style sheet reaches the other. */
export function show(
  element: HTMLElement,
  { html, css, font }: Pick<Rendered, 'html' | 'css' | 'font'>,
  origin: string,
) {
  const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' })
  if (font) loadFont(font, origin)
  root.innerHTML = trusted(html)
  adopt(root, css)
  return root
}

/** An adopted sheet is no inline style, so a strict style policy does not stop it. */
function adopt(root: ShadowRoot, css: string): void {
  if ('adoptedStyleSheets' in root) {
    const sheet = new CSSStyleSheet()
    sheet.replaceSync(css)
    root.adoptedStyleSheets = [sheet]
  } else {
    const style = document.createElement('style') // browsers before 2023
    style.textContent = css
    ;(root as ShadowRoot).prepend(style)
  }
}

interface TrustedTypes {
  createPolicy(name: string, rules: { createHTML(html: string): string }): { createHTML(html: string): string }
}

let policy: ReturnType<TrustedTypes['createPolicy']> | null | undefined

/** Pages that ask for Trusted Types take HTML from a policy only. What we write was escaped when it was rendered. */
function trusted(html: string): string {
  if (policy === undefined) {
    try {
      const types = (globalThis as { trustedTypes?: TrustedTypes }).trustedTypes
      policy = types?.createPolicy('pebblestrand', { createHTML: (text) => text }) ?? null
    } catch {
      policy = null // not allowed by the page
    }
  }
  return policy ? policy.createHTML(html) : html
}
