/** Gives the document a shipped font, once; a shadow root cannot bring fonts of its own. Where it does not load, the fallback face stays. */
export function loadFont({ family, file }: { family: string; file: string }, origin: string): void {
  for (const face of document.fonts) if (face.family.replace(/"/g, '') === family) return
  const face = new FontFace(family, `url(${origin}/fonts/${file})`, { weight: '200 900', display: 'swap' })
  document.fonts.add(face)
  face.load().catch(() => {})
}
