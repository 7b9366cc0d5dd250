import { languageTag } from '../words'
import type { Page } from '../verify/page'
import { fact, type Fact } from './fact'

/**
 * The language of a page as a BCP 47 tag: of its root element (HTML standard, section 3.2.6.2), of its header or `meta`
 * (`content-language`), or as it gives it for sharing. Null where none is a tag.
 */
export function languageOf({ $ }: Page, headers: Record<string, string>): Fact<string> | null {
  const said: [string | undefined, string][] = [
    [$('html').attr('lang') ?? $('html').attr('xml:lang'), 'the page’s lang attribute'],
    [$('body').attr('lang'), 'the lang attribute of its body'],
    [$('meta[http-equiv="content-language" i]').attr('content'), 'its content-language'],
    [headers['content-language'], 'its content-language header'],
    [$('meta[property="og:locale"]').attr('content'), 'the locale it gives for sharing'],
  ]
  for (const [tag, from] of said) {
    const language = languageTag(tag?.split(',')[0])
    if (language) return fact(language, from)
  }
  return null
}
