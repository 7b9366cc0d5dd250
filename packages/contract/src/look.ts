import { z } from 'zod'

/** A site's look as it is noted: fonts as CSS has them, colours as #rrggbb, width in px. */
export const SiteLook = z.object({
  bodyFont: z.string(),
  headingFont: z.string(),
  fontFaces: z.array(z.object({ family: z.string(), src: z.string(), weight: z.string() })),
  text: z.string(),
  background: z.string(),
  accent: z.string(),
  contentWidth: z.number(),
  link: z.string().optional(),
  heading: z.string().optional(),
  button: z.string().optional(),
  buttonText: z.string().optional(),
  radius: z.number().optional(),
  spacing: z.number().optional(),
})

/** A widget drawn small: what shows it, without what brings it to life. */
export const Thumbnail = z.object({
  html: z.string(),
  css: z.string(),
  font: z
    .object({
      family: z.string(),
      file: z.string(),
      generic: z.string(),
      range: z.string(),
      more: z.array(z.object({ file: z.string(), range: z.string() })),
    })
    .nullable(),
})
export type Thumbnail = z.infer<typeof Thumbnail>
