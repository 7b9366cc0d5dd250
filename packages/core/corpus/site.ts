import { readFileSync, readdirSync } from 'node:fs'
import { methods, type MethodId } from '../src/methods'
import { regionIds, type Region } from '../src/platforms'

const folder = new URL('./fixtures/skeletons/', import.meta.url)
const SLOT = /\[\[(\w+)\]\]/g

export const ours = 'https://strand.example'
export const install = 'pk7h2-mq9xv-abcde'

/** The text to paste, as the methods write it. */
export const snippet = (method: MethodId = 'inline', publicId = install, origin = ours) =>
  methods[method].text({
    origin,
    publicId,
    name: 'Harbour news',
    agency: 'Tern & Tiller',
    width: 300,
    height: 400,
  })

/** A page as some editor, theme or tool makes it, with places where a widget may stand and what a person would call each. */
export class Skeleton {
  readonly slots: Region[]
  constructor(
    readonly name: string,
    private readonly text: string,
  ) {
    this.slots = [...text.matchAll(SLOT)].map((match) => {
      if (!(regionIds as string[]).includes(match[1]!)) throw new Error(`${name} has a place called ${match[1]}`)
      return match[1] as Region
    })
  }

  /** The page with texts in some of its places, by their number. */
  fill(texts: Record<number, string>): string {
    let at = 0
    return this.text.replace(SLOT, () => texts[at++] ?? '')
  }

  /** Number of the last place of a region: -1 where the page has none. */
  place = (region: Region) => this.slots.lastIndexOf(region)
}

export const skeletons: Skeleton[] = readdirSync(folder)
  .filter((file) => file.endsWith('.html'))
  .sort()
  .map((file) => new Skeleton(file.replace('.html', ''), readFileSync(new URL(file, folder), 'utf8')))

/** One skeleton, with the region an install of it is planned for. */
export class Site {
  readonly empty: string
  constructor(
    readonly skeleton: Skeleton,
    readonly region: Region,
  ) {
    this.empty = skeleton.fill({})
  }
  /** The page with a text in the planned place. */
  with = (text: string) => this.skeleton.fill({ [this.skeleton.place(this.region)]: text })
  /** The region that the page has beside the planned one. */
  get otherRegion(): Region {
    return this.skeleton.slots.find((region) => region !== this.region)!
  }
  /** The page with a text in another region. */
  elsewhere = (text: string) => this.skeleton.fill({ [this.skeleton.place(this.otherRegion)]: text })
  /** The page with one text in its place and one in another region. */
  both = (text: string, other: string) =>
    this.skeleton.fill({
      [this.skeleton.place(this.region)]: text,
      [this.skeleton.place(this.otherRegion)]: other,
    })
}
