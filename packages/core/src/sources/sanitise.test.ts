import { load } from 'cheerio'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plainText, sanitise } from './sanitise'

/** What must never be left: elements that run or load, attributes that run, addresses that run. */
function dangers(html: string): string[] {
  const $ = load(html, null, false)
  return $('*')
    .toArray()
    .flatMap((node) => {
      if (!('attribs' in node)) return []
      const bad =
        /^(script|style|iframe|object|embed|form|input|link|meta|base|svg|math|video|audio|template|noscript)$/.test(
          node.name,
        )
          ? [node.name]
          : []
      return [
        ...bad,
        ...Object.entries(node.attribs).flatMap(([name, value]) =>
          /^on|^style$|^srcdoc$/i.test(name) ||
          (/^(href|src|action)$/i.test(name) && !/^(https?:|mailto:)/i.test(value))
            ? [`${name}=${value}`]
            : [],
        ),
      ]
    })
}

// OWASP, XSS Filter Evasion Cheat Sheet: vectors by the cheat sheet's own headings, from memory.
const vectors = [
  '<SCRIPT SRC=https://cdn.example/xss.js></SCRIPT>',
  '<IMG SRC="javascript:alert(\'XSS\');">',
  "<IMG SRC=javascript:alert('XSS')>",
  "<IMG SRC=JaVaScRiPt:alert('XSS')>",
  '<IMG SRC=`javascript:alert("RSnake says, \'XSS\'")`>',
  '<a onmouseover="alert(document.cookie)">xxs link</a>',
  '<IMG """><SCRIPT>alert("XSS")</SCRIPT>"\\>',
  '<IMG SRC=javascript:alert(String.fromCharCode(88,83,83))>',
  '<IMG SRC=# onmouseover="alert(\'xxs\')">',
  '<IMG SRC= onmouseover="alert(\'xxs\')">',
  '<IMG SRC=/ onerror="alert(String.fromCharCode(88,83,83))"></img>',
  '<img src=x onerror="&#0000106&#0000097&#0000118&#0000097&#0000115&#0000099&#0000114&#0000105&#0000112&#0000116">',
  '<IMG SRC=&#106;&#97;&#118;&#97;&#115;&#99;&#114;&#105;&#112;&#116;&#58;&#97;&#108;&#101;&#114;&#116;&#40;1&#41;>',
  '<IMG SRC=&#x6A&#x61&#x76&#x61&#x73&#x63&#x72&#x69&#x70&#x74&#x3A&#x61&#x6C&#x65&#x72&#x74&#x28&#x31&#x29>',
  '<IMG SRC="jav\tascript:alert(\'XSS\');">',
  '<IMG SRC="jav&#x09;ascript:alert(\'XSS\');">',
  '<IMG SRC="jav&#x0A;ascript:alert(\'XSS\');">',
  '<IMG SRC=" &#14; javascript:alert(\'XSS\');">',
  '<SCRIPT/XSS SRC="https://xss.example/xss.js"></SCRIPT>',
  '<BODY onload!#$%&()*~+-_.,:;?@[/|\\]^`=alert("XSS")>',
  '<<SCRIPT>alert("XSS");//\\<</SCRIPT>',
  '<SCRIPT SRC=https://xss.example/xss.js?< B >',
  '<SCRIPT SRC=//xss.example/.j>',
  '<IMG SRC="`<javascript:alert>`(\'XSS\')"',
  '</TITLE><SCRIPT>alert("XSS");</SCRIPT>',
  '<INPUT TYPE="IMAGE" SRC="javascript:alert(\'XSS\');">',
  '<BODY BACKGROUND="javascript:alert(\'XSS\')">',
  '<IMG DYNSRC="javascript:alert(\'XSS\')">',
  "<svg/onload=alert('XSS')>",
  '<LINK REL="stylesheet" HREF="javascript:alert(\'XSS\');">',
  "<STYLE>@import'https://xss.example/xss.css';</STYLE>",
  '<META HTTP-EQUIV="refresh" CONTENT="0;url=javascript:alert(\'XSS\');">',
  '<IFRAME SRC="javascript:alert(\'XSS\');"></IFRAME>',
  '<IFRAME SRC=# onmouseover="alert(document.cookie)"></IFRAME>',
  '<TABLE BACKGROUND="javascript:alert(\'XSS\')">',
  '<DIV STYLE="background-image: url(javascript:alert(\'XSS\'))">',
  '<BASE HREF="javascript:alert(\'XSS\');//">',
  '<OBJECT TYPE="text/x-scriptlet" DATA="https://xss.example/scriptlet.html"></OBJECT>',
  '<EMBED SRC="data:image/svg+xml;base64,PHN2Zz4=" type="image/svg+xml" AllowScriptAccess="always"></EMBED>',
  '<a href="data:text/html;base64,PHNjcmlwdD5hbGVydCgxKTwvc2NyaXB0Pg==">x</a>',
  '<a href="vbscript:msgbox(1)">x</a>',
  '<math><mtext><table><mglyph><style><img src=x onerror=alert(1)>',
  '<noscript><p title="</noscript><img src=x onerror=alert(1)>">',
]

describe('content is sanitised', () => {
  it.each(vectors)('%s', (vector) => {
    expect(dangers(sanitise(vector, 'https://feed.example/'))).toEqual([])
    expect(dangers(sanitise(`<p>before ${vector} after</p>`, null))).toEqual([])
  })

  it('is safe for any mixture of them', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof(fc.constantFrom(...vectors), fc.string()), { maxLength: 5 }),
        (parts) => dangers(sanitise(parts.join(''), 'https://feed.example/')).length === 0,
      ),
    )
  })

  it('changes nothing the second time', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...vectors, '<p>words</p>', '<b>x</b>'), { maxLength: 4 }), (parts) => {
        const once = sanitise(parts.join(''), 'https://feed.example/')
        return sanitise(once, 'https://feed.example/') === once
      }),
    )
  })

  it('keeps what a text needs', () => {
    const html = '<p>A <b>bold</b> <a href="/x">link</a><br><img src="/i.png" alt="pier"></p>'
    expect(sanitise(html, 'https://feed.example/a/')).toBe(
      '<p>A <b>bold</b> <a href="https://feed.example/x">link</a><br /><img src="https://feed.example/i.png" alt="pier" /></p>',
    )
  })
})

describe('plain text', () => {
  it.each([
    ['<p>One.</p><p>Two.</p>', 'One. Two.'],
    ['a<br>b', 'a b'],
    ['Salt &amp; rope &lt;3', 'Salt & rope <3'],
    ['<script>x</script>Only <style>y</style>words', 'Only words'],
    ['5 &lt; 6', '5 < 6'],
    ['<ul><li>one</li><li>two</li></ul>', 'one two'],
  ])('%s', (html, text) => expect(plainText(html)).toBe(text))
})
