import { z } from 'zod'
import { methodIds } from '../methods'
import { regionIds } from '../platforms'

/** What the register says of one install: the half of a check that is known beforehand. Documented in docs/verify-from-the-command-line.md. */
export const Plan = z.object({
  /** Public id of the install, as the snippet carries it. */
  install: z.string().min(1, 'must be the public id of the install'),
  /** Where our script, frames and payloads answer, without a slash at the end. */
  origin: z.url('must be an address like https://strand.example').transform((url) => new URL(url).origin),
  method: z.enum(methodIds).default('inline'),
  /** Public id of the site's tag, where it has one; the same as `install` where the tag itself is looked for. */
  tag: z.string().min(1).nullish(),
  /** Left out for an install that stands over the page. */
  placement: z
    .object({
      region: z.enum(regionIds),
      /** A CSS selector of the placement's element; where it is given it alone decides. */
      selector: z.string().min(1).nullish(),
      /** Px. */
      width: z.number().positive().nullish(),
      /** Whether a browser measured that: what another sees later is then a change of the site. */
      measured: z.boolean().optional(),
    })
    .nullish(),
  /** Marks of the texts that are pasted for it now; a copy that carries another is from an older text. */
  texts: z.array(z.string()).default([]),
  /** Texts that were handed over, by their marks: to whom, and on which day. */
  handed: z
    .array(z.object({ mark: z.string(), to: z.string(), day: z.string() }))
    .max(20)
    .default([]),
  /** The page's address. */
  url: z.url().nullish(),
  status: z.enum(['planned', 'handed-over', 'pasted', 'confirmed', 'needs-a-hand', 'retired']).default('pasted'),
  pastedAt: z.iso.datetime({ offset: true }).nullish(),
  /** The page as it was before anything was pasted. */
  baseline: z.object({ fingerprint: z.string(), lastModified: z.string().nullish() }).nullish(),
  /** The register's other installs, to name what stands where this one belongs; `here`: planned for this very placement too. */
  others: z.array(z.object({ install: z.string(), name: z.string(), here: z.boolean().default(false) })).default([]),
  /** Origins of what plays in frames when a visitor asks for it. */
  players: z.array(z.url()).max(50).default([]),
  /** Where the last test of its form stopped, as a sentence; left out where it arrived, or nobody tried. */
  undelivered: z.string().nullish(),
  /** The release it should show. */
  release: z.number().int().positive().nullish(),
  /** Findings that a person has put away for a while: they are said, and do not make it need a hand. */
  muted: z.array(z.string()).default([]),
  /** Meant to be gone: the check then proves the absence. */
  retiring: z.boolean().default(false),
  /** The platform's own next step, as clauses; see platforms/. */
  words: z.object({ publish: z.string(), cache: z.string(), codeBox: z.string() }).partial().default({}),
})
export type Plan = z.infer<typeof Plan>
