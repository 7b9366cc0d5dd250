/** What sites do whose pages change without loading: a press on a link of their own fetches the next page and exchanges the body. */
export const withoutLoading = `(function () {
  function show(address, push) {
    fetch(address).then(function (answer) { return answer.text() }).then(function (html) {
      var next = new DOMParser().parseFromString(html, 'text/html')
      document.title = next.title
      document.body.replaceChildren.apply(document.body, Array.prototype.slice.call(next.body.childNodes).map(function (node) { return document.importNode(node, true) }))
      if (push) history.pushState({}, '', address)
    })
  }
  document.addEventListener('click', function (event) {
    var link = event.target.closest && event.target.closest('a[data-soft]')
    if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return
    event.preventDefault()
    show(link.href, true)
  })
  addEventListener('popstate', function () { show(location.href, false) })
})()
`
