// Elements by what they are to a layout, in small letters. Read in a browser as well: no parser here.

/** Elements of a text, not of a layout. */
export const flow = new Set('p h1 h2 h3 h4 h5 h6 ul ol dl figure img blockquote pre hr br picture address'.split(' '))
/** Of these, what stands above a part of the page as well as in a text. */
export const pictured = new Set('figure img hr br picture'.split(' '))
/** What stands in a line. */
export const inline = new Set('a span b i em strong small label button input svg time code'.split(' '))
/** What makes nothing of the page. */
export const skipped = new Set('script style template noscript link meta base title head'.split(' '))
