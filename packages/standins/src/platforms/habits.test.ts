import { describe, expect, it } from 'vitest'
import { asWords, linked, withLinks, plainMarkup, typographic, withoutScripts, withoutScriptsAndData } from './habits'

const snippet = `<div data-mark="x" style="min-height:4px" onclick="go()"><a href="/v/x">News</a></div><script src="/s.js"></script><iframe src="/f"></iframe>`

describe('what editors do to what is pasted', () => {
  it('some take scripts out', () =>
    expect(withoutScripts(snippet)).toBe(
      '<div data-mark="x" style="min-height:4px"><a href="/v/x">News</a></div><iframe src="/f"></iframe>',
    ))
  it('some data attributes as well', () => expect(withoutScriptsAndData(snippet)).not.toMatch(/data-mark|script/))
  it('some leave plain markup', () => expect(plainMarkup(snippet)).toBe('<div><a href="/v/x">News</a></div>'))
  it('some show all of it as words, with quotes of the printer', () => {
    expect(asWords('<b>"x"</b>\n\nsecond')).toBe('<p>&lt;b&gt;&quot;x&quot;&lt;/b&gt;</p>\n<p>second</p>')
    expect(typographic(`say "it's here"`)).toBe('say “it’s here”')
  })
  it('some make links of addresses', () => {
    expect(linked('see https://a.example/x now')).toBe('see <a href="https://a.example/x">https://a.example/x</a> now')
    expect(withLinks('<p>https://a.example/x</p>')).toBe('<p><a href="https://a.example/x">https://a.example/x</a></p>')
    expect(withLinks('<iframe src="https://a.example/x"></iframe>')).toBe('<iframe src="https://a.example/x"></iframe>')
  })
})
