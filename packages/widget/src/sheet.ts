// The script of a sheet's page, which works without it: copies texts, ticks steps, and looks whether a check is through.

/** Ms between two looks at what a check has found. */
const PAUSE = 2000

function copyButtons(): void {
  for (const button of document.querySelectorAll<HTMLButtonElement>('[data-copy]')) {
    button.hidden = false
    button.addEventListener('click', () => void copy(button))
  }
}

async function copy(button: HTMLButtonElement): Promise<void> {
  const code = document.getElementById(button.dataset.copy!)
  const said = button.parentElement!.querySelector('[role=status]')!
  said.textContent = ''
  try {
    await navigator.clipboard.writeText(code!.textContent)
    said.textContent = button.dataset.copied!
  } catch {
    getSelection()?.selectAllChildren(code!)
    said.textContent = button.dataset.failed!
  }
}

function stepForms(): void {
  for (const form of document.querySelectorAll<HTMLFormElement>('form[data-steps]'))
    form.addEventListener(
      'change',
      () => void fetch(form.action, { method: 'POST', body: new URLSearchParams(new FormData(form) as never) }),
    )
}

/** Asks for the page once more and takes over what it says of each thing, until nothing is looked at any longer. */
async function follow(): Promise<void> {
  if (!document.querySelector('[data-looking]')) return
  await new Promise((over) => setTimeout(over, PAUSE))
  try {
    const answer = await fetch(location.pathname, { headers: { 'x-sheet-follow': '1' } })
    const next = new DOMParser().parseFromString(await answer.text(), 'text/html')
    for (const old of document.querySelectorAll('.verdict, .acts, #progress')) {
      const section = old.closest('section')
      const fresh = section
        ? next.getElementById(section.id)?.querySelector(old.matches('.verdict') ? '.verdict' : '.acts')
        : next.getElementById(old.id)
      if (!fresh) old.remove()
      else if (fresh.outerHTML !== old.outerHTML) old.replaceWith(document.adoptNode(fresh))
    }
    doneForms()
  } catch {
    // The line is down: the next look may come through.
  }
  return follow()
}

/** Said to be done without leaving the page: what is open on it stays open. */
function doneForms(): void {
  for (const form of document.querySelectorAll<HTMLFormElement>('form[data-done]:not([data-heard])')) {
    form.dataset.heard = ''
    form.addEventListener('submit', (event) => {
      event.preventDefault()
      void fetch(form.action, { method: 'POST' }).then(
        () => {
          const verdict = form.closest('section')!.querySelector('.verdict')!
          const wasLooking = document.querySelector('[data-looking]') !== null
          verdict.setAttribute('data-looking', '')
          if (!wasLooking) void follow()
        },
        () => form.submit(),
      )
    })
  }
}

for (const button of document.querySelectorAll<HTMLButtonElement>('[data-print]')) {
  button.hidden = false
  button.addEventListener('click', () => print())
}
copyButtons()
stepForms()
doneForms()
void follow()
