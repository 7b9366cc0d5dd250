import { methodList, methods, type Method, type MethodId } from '../methods'
import { capabilities, type Capability, type EditorBox, type PlatformProfile, type Region } from '../platforms'

export interface MethodAdvice {
  method: MethodId
  /** The editor's box that takes it; null where none does. */
  box: EditorBox | null
  why: string
}
export interface Advice {
  best: MethodAdvice
  others: MethodAdvice[]
}

/** From profile and region: which method to take, why, and why not the others. The methods' own order decides between those that work. */
export function advise(profile: PlatformProfile, region: Region): Advice {
  const rated = methodList.map((method) => ({ method, box: boxFor(profile, region, method.id) }))
  const at = Math.max(
    0,
    rated.findIndex((r) => r.box),
  )
  const best = rated[at]!.box ? rated[at]! : rated.at(-1)!
  const passedOver = rated.slice(0, rated.indexOf(best))
  return {
    best: {
      method: best.method.id,
      box: best.box,
      why: best.box
        ? whyTaken(best.method, best.box, region, passedOver[0]?.method)
        : `no box of this editor's ${region} keeps it; ask for one that takes HTML`,
    },
    others: rated
      .filter((r) => r !== best)
      .map(({ method, box }) => ({ method: method.id, box, why: box ? method.besides : lacking(method, region) })),
  }
}

/** The first box of the editor, in its own order, that keeps what the method needs. */
export function boxFor(profile: PlatformProfile, region: Region, method: MethodId): EditorBox | null {
  const needs: readonly Capability[] = methods[method].needs
  return profile.boxes.find((box) => box.regions.includes(region) && needs.every((need) => box.keeps[need])) ?? null
}

/** What a method stands or falls by. */
const decisive = (method: Method) => capabilities[method.needs.at(-1)!]

const lacking = (method: Method, region: Region) => `no box of this site's ${region} keeps ${decisive(method)}`

function whyTaken(method: Method, box: EditorBox, region: Region, better: Method | undefined): string {
  const name = box.name.toLowerCase()
  return better
    ? `${lacking(better, region)}, but the ${name} keeps ${decisive(method)}: ${method.gives}`
    : `the ${name} of this site's ${region} keeps ${decisive(method)}, and so ${method.gives}`
}
