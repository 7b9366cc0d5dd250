import type { LookSamples } from '@pebblestrand/core/site-look'

// Runs in the page that is looked at: it stands alone, nothing outside it is there.

/** What a page shows of its look, from the styles that the browser has worked out. `mark`: widgets of ours are no part of the site. */
export function sampleLook(mark: string): LookSamples {
  const MOST = 4000
  const pixel = document.createElement('canvas').getContext('2d', { willReadFrequently: true })!
  const known = new Map<string, string>()
  /** #rrggbb of any colour that CSS has, over another where it is see-through; '' for one that is hardly seen. */
  const hex = (colour: string, over = ''): string => {
    const key = `${colour} ${over}`
    if (!known.has(key)) {
      pixel.canvas.width = pixel.canvas.height = 1
      pixel.clearRect(0, 0, 1, 1)
      for (const layer of [over, colour].filter(Boolean)) {
        pixel.fillStyle = layer
        pixel.fillRect(0, 0, 1, 1)
      }
      const [r, g, b, alpha] = pixel.getImageData(0, 0, 1, 1).data
      known.set(key, alpha! < 128 ? '' : `#${[r, g, b].map((one) => one!.toString(16).padStart(2, '0')).join('')}`)
    }
    return known.get(key)!
  }
  const px = (value: string) => Math.round((parseFloat(value) || 0) * 10) / 10
  const isOurs = (element: Element) => element.closest(`[${mark}]`) !== null
  const drawn = (element: Element) => {
    const { width, height } = element.getBoundingClientRect()
    return width > 0 && height > 0 && getComputedStyle(element).visibility !== 'hidden'
  }
  const all = (selector: string) =>
    [...document.querySelectorAll<HTMLElement>(selector)].slice(0, MOST).filter((one) => !isOurs(one) && drawn(one))
  const lettersOf = (element: Element) => (element.textContent ?? '').trim().length
  const groundOf = (element: Element): string => {
    for (let at: Element | null = element; at; at = at.parentElement) {
      const { backgroundColor, backgroundImage } = getComputedStyle(at)
      const colour = hex(backgroundColor)
      // A picture all over the page is faint, and lies over its colour.
      if (backgroundImage !== 'none' && !(colour && at === document.body)) return 'picture'
      if (colour) return colour
    }
    return ''
  }
  /** A page on which nothing is drawn is white (CSS Color Adjustment, section 2.2). */
  const behind = (element: Element) => groundOf(element) || '#ffffff'
  const ink = (element: Element) => {
    const ground = behind(element)
    return hex(getComputedStyle(element).color, ground === 'picture' ? '' : ground)
  }

  const linkLetters = (element: Element) =>
    [...element.querySelectorAll('a[href]')].reduce((sum, one) => sum + lettersOf(one), 0)
  // A table's cell or a list's line may hold half the page: what is within it counts, not the cell itself.
  const paragraphs = all('p, li, td, dd, blockquote').filter(
    (one) =>
      !one.closest('nav, header, footer, button, [role=navigation], [role=banner], [role=contentinfo]') &&
      !one.querySelector('p, li, td, dd, blockquote, div, section, header, main') &&
      lettersOf(one) > 20 &&
      linkLetters(one) * 2 < lettersOf(one),
  )
  const words = paragraphs.length ? paragraphs : all('p, li, body')
  const texts = words.map((one) => {
    const { fontFamily } = getComputedStyle(one)
    return { font: fontFamily, colour: ink(one), letters: lettersOf(one), behind: behind(one) }
  })
  const headings = all('h1, h2, h3')
    .filter((one) => lettersOf(one) > 0)
    .map((one) => {
      const { fontFamily, fontSize } = getComputedStyle(one)
      return {
        font: fontFamily,
        colour: ink(one),
        level: Number(one.tagName[1]),
        size: px(fontSize),
        behind: behind(one),
      }
    })
  const buttonLike = (one: HTMLElement) => {
    const { backgroundColor, display, paddingLeft, paddingTop } = getComputedStyle(one)
    return (
      hex(backgroundColor) !== '' &&
      hex(backgroundColor) !== groundOf(one.parentElement ?? one) &&
      px(paddingLeft) >= 6 &&
      px(paddingTop) >= 2 &&
      display !== 'inline'
    )
  }
  /** In a part of the page that is for going elsewhere, or among words of which a third or more are links. */
  const isMenu = (link: Element): boolean => {
    if (link.closest('nav, header, footer, [role=navigation]')) return true
    const block = link.closest('p, li, dd, td, h1, h2, h3, h4, div, section')
    if (!block) return false
    return linkLetters(block) * 3 > lettersOf(block)
  }
  const links: LookSamples['links'] = all('a[href]')
    .filter((one) => !buttonLike(one) && lettersOf(one) > 0)
    .map((one) => ({
      colour: ink(one),
      letters: lettersOf(one),
      where: isMenu(one) ? ('navigation' as const) : ('text' as const),
      behind: behind(one),
    }))
    .filter(({ colour }) => colour !== '')
  // Where no words of the page are a link, one is put there for a moment to see how it would look.
  if (!links.some(({ where }) => where === 'text')) {
    const probe = document.createElement('p')
    const link = probe.appendChild(document.createElement('a'))
    link.href = '#'
    link.textContent = 'probe'
    const room = document.querySelector('main, [role=main], article') ?? document.body
    room.append(probe)
    const colour = hex(getComputedStyle(link).color)
    probe.remove()
    // Blue of the browser itself: nobody has chosen that (HTML standard, section 15.3.2).
    if (colour && colour !== '#0000ee') links.push({ colour, letters: 1, where: 'text' })
  }
  const buttons = all('button, input[type=submit], input[type=button], a[href], [role=button]')
    .filter(buttonLike)
    .map((one) => {
      const { backgroundColor, color, borderTopLeftRadius } = getComputedStyle(one)
      const { width, height } = one.getBoundingClientRect()
      return {
        ground: hex(backgroundColor),
        colour: hex(color),
        radius: Math.min(px(borderTopLeftRadius), Math.round(height / 2)),
        area: Math.round(width * height),
      }
    })
  const edges = all('header, nav, main, footer, hr, section, div, h1, h2').flatMap((one) => {
    const style = getComputedStyle(one)
    const { width, height } = one.getBoundingClientRect()
    return [
      ...(px(style.borderTopWidth) >= 2
        ? [{ colour: hex(style.borderTopColor), area: px(style.borderTopWidth) * width }]
        : []),
      ...(px(style.borderBottomWidth) >= 2
        ? [{ colour: hex(style.borderBottomColor), area: px(style.borderBottomWidth) * width }]
        : []),
      ...(hex(style.backgroundColor) && height < 400
        ? [{ colour: hex(style.backgroundColor), area: width * height }]
        : []),
    ].filter(({ colour }) => colour !== '')
  })
  const radii = all('img, figure, article, section, aside, .card')
    .map((one) => px(getComputedStyle(one).borderTopLeftRadius))
    .filter((radius) => radius > 0)

  /** What lies behind most of the words. */
  const ground = (() => {
    const letters = new Map<string, number>()
    for (const one of words) letters.set(groundOf(one), (letters.get(groundOf(one)) ?? 0) + lettersOf(one))
    const most = [...letters].sort((a, b) => b[1] - a[1])
    return (most.find(([colour]) => colour !== 'picture') ?? most[0])?.[0] ?? groundOf(document.body)
  })()
  /** The first thing around the content that is narrower than the window and lies in its middle. */
  const longest = [...words].sort((a, b) => lettersOf(b) - lettersOf(a))[0]
  const content = (() => {
    let best: number | null = null
    const main = document.querySelector('main, [role=main]')
    const start = (longest && (!main || main.contains(longest)) ? longest : main) ?? document.body
    for (let at: Element | null = start; at && at !== document.documentElement; at = at.parentElement) {
      const { left, right, width } = at.getBoundingClientRect()
      const isMiddle = Math.abs(left - (innerWidth - right)) <= 24
      if (isMiddle && width >= 400 && width <= innerWidth - 24) best = Math.round(width)
    }
    return best
  })()
  const gaps = paragraphs
    .filter((one) => one.tagName === 'P' && one.nextElementSibling?.tagName === 'P')
    .map((one) => Math.round(one.nextElementSibling!.getBoundingClientRect().top - one.getBoundingClientRect().bottom))
    .sort((a, b) => a - b)

  const faces: LookSamples['faces'] = []
  for (const sheet of document.styleSheets) {
    let rules: CSSRuleList | null = null
    try {
      rules = sheet.cssRules
    } catch {
      continue // of another site: the browser does not show it
    }
    for (const rule of rules)
      if (rule instanceof CSSFontFaceRule) {
        const address = /url\(["']?([^"')]+)["']?\)/.exec(rule.style.getPropertyValue('src'))?.[1]
        const family = rule.style.getPropertyValue('font-family').replace(/^["']|["']$/g, '')
        if (!address || !family || faces.length > 40) continue
        try {
          faces.push({
            family,
            src: new URL(address, sheet.href ?? document.baseURI).href,
            weight: rule.style.getPropertyValue('font-weight') || '400',
          })
        } catch {
          // no address
        }
      }
  }
  return {
    texts,
    headings,
    links,
    buttons,
    ground,
    edges: edges.slice(0, 400),
    faces,
    content,
    spacing: gaps.length ? gaps[Math.floor(gaps.length / 2)]! : null,
    radii: radii.slice(0, 200),
  }
}
