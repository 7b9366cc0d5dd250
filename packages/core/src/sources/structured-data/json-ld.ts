import type { CheerioAPI } from 'cheerio'
import { typeName, type Thing, type Value } from './thing'

/** As deep as anybody nests, and as many as a page lists. */
const MOST = { depth: 12, things: 20_000 }

/** Things in a page's JSON-LD (HTML: `script type="application/ld+json"`; JSON-LD 1.1, `@graph`, `@type`). What is no JSON is passed over. */
export function jsonLdThings($: CheerioAPI): Thing[] {
  const count = { things: 0 }
  return $('script[type="application/ld+json" i]')
    .toArray()
    .flatMap((element) => {
      try {
        return thingsIn(JSON.parse(uncommented($(element).text())), 0, count)
      } catch (error) {
        if (error instanceof SyntaxError) return []
        throw error
      }
    })
}

/** Some tools wrap it in CDATA or a comment. */
const uncommented = (text: string) => text.trim().replace(/^(?:\/\/)?<!\[CDATA\[|(?:\/\/)?\]\]>$|^<!--|-->$/g, '')

function thingsIn(value: unknown, depth: number, count: { things: number }): Thing[] {
  if (depth > MOST.depth || count.things > MOST.things || typeof value !== 'object' || value === null) return []
  if (Array.isArray(value)) return value.flatMap((one) => thingsIn(one, depth + 1, count))
  const node = value as Record<string, unknown>
  const graph = Array.isArray(node['@graph']) ? thingsIn(node['@graph'], depth + 1, count) : []
  const own = thingFrom(node, depth, count)
  return own.types.length || Object.keys(own.properties).length ? [own, ...graph] : graph
}

function thingFrom(node: Record<string, unknown>, depth: number, count: { things: number }): Thing {
  count.things++
  const types = [node['@type'] ?? []].flat().filter((type): type is string => typeof type === 'string')
  const properties: Record<string, Value[]> = {}
  for (const [name, value] of Object.entries(node)) {
    if (name === '@graph' || name === '@context' || name === '@type') continue
    const values = [value].flat().flatMap((one) => valueFrom(one, depth, count))
    if (values.length) properties[typeName(name)] = values
  }
  return { types: types.map(typeName), properties }
}

function valueFrom(value: unknown, depth: number, count: { things: number }): Value[] {
  if (typeof value === 'string' || typeof value === 'number') return [value]
  if (typeof value !== 'object' || value === null || depth >= MOST.depth || count.things > MOST.things) return []
  const node = value as Record<string, unknown>
  if (typeof node['@value'] === 'string' || typeof node['@value'] === 'number') return [node['@value']]
  return Array.isArray(value) ? [] : [thingFrom(node, depth + 1, count)]
}
