import type { Picture } from '@pebblestrand/core/items'
import type { Entry, PageFacts, TypedPick } from '../../api/types'
import { labelsOf } from '../../parts/labels'

/** A pick as its form holds it: every text is a text. */
export interface PickForm {
  link: string
  title: string
  text: string
  site: string
  date: string
  /** With commas between them. */
  labels: string
  picture: Picture | null
  /** BCP 47, as its page says it. */
  language: string | null
  /** What may stand for it. */
  choices: Picture[]
}

export const emptyForm = (): PickForm => ({
  link: '',
  title: '',
  text: '',
  site: '',
  date: '',
  labels: '',
  picture: null,
  language: null,
  choices: [],
})

/** One that is there, to be corrected. */
export function formOf({ link, publishedAt, labels, language, body }: Entry): PickForm {
  const picture = body.type === 'pick' ? body.picture : null
  return {
    link: link ?? '',
    title: body.title,
    text: body.text,
    site: body.type === 'pick' ? body.site : '',
    date: publishedAt?.slice(0, 10) ?? '',
    labels: labels.join(', '),
    picture,
    language,
    choices: picture ? [picture] : [],
  }
}

/** What a page says of itself, where nothing was written yet; its likeliest picture is chosen. */
export const withFacts = (form: PickForm, facts: PageFacts): PickForm => ({
  ...form,
  link: facts.link,
  title: form.title || facts.title,
  text: form.text || facts.description,
  site: form.site || facts.site,
  date: form.date || (facts.publishedAt?.slice(0, 10) ?? ''),
  language: form.language ?? facts.language,
  picture: form.picture ?? facts.pictures[0] ?? null,
  choices: [...new Map([...form.choices, ...facts.pictures].map((one) => [one.url, one])).values()],
})

/** @param key of one that is there */
export function typedOf(form: PickForm, key: string | null): TypedPick {
  const { choices: _, labels, picture, date, ...rest } = form
  return {
    ...rest,
    key,
    // A new one without a day is picked today.
    date: date || (key === null ? null : ''),
    picture: picture && { url: picture.url, width: picture.width, height: picture.height, alt: picture.alt },
    labels: labelsOf(labels),
  }
}
