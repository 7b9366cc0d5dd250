/** A sheet of ours, the first one in place of what was there. An adopted sheet is no inline style, so a strict style policy does not stop it. */
export function adopt(root: ShadowRoot, css: string): void {
  if ('adoptedStyleSheets' in root) root.adoptedStyleSheets = [sheetOf(css)]
  else styleIn(root, css)
}

/** Rules beside those that are there: of a shadow root, or of a page of ours. */
export function adoptMore(root: ParentNode, css: string): void {
  const owner = root instanceof ShadowRoot ? root : document
  if ('adoptedStyleSheets' in owner) owner.adoptedStyleSheets = [...owner.adoptedStyleSheets, sheetOf(css)]
  else styleIn(root, css)
}

function sheetOf(css: string): CSSStyleSheet {
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(css)
  return sheet
}

/** Browsers before 2023. */
function styleIn(root: ParentNode, css: string): void {
  const style = document.createElement('style')
  style.textContent = css
  root.prepend(style)
}
