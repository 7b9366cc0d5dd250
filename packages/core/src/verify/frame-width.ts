import type { Element } from 'domhandler'

/** A frame's width in px from its attribute or style; 'fluid' for a share of its container; null where it has none. */
export function frameWidth(frame: Element): number | 'fluid' | null {
  const styled = /(?:^|;)\s*width\s*:\s*([^;]+)/i.exec(frame.attribs.style ?? '')?.[1]
  return read(styled) ?? read(frame.attribs.width)
}

function read(value: string | undefined): number | 'fluid' | null {
  if (value && value.length > 60) return null
  const m = /^\s*(\d+(?:\.\d+)?)\s*(px|%|[a-z]+)?\s*(?:!important)?\s*$/i.exec(value ?? '')
  if (!m) return /^\s*(calc|min|max|clamp)\(/i.test(value ?? '') ? 'fluid' : null
  const [, amount, unit = 'px'] = m
  return unit.toLowerCase() === 'px' ? Number(amount) : 'fluid'
}
