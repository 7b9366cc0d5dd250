/** A promise, and what opens it: for what must not go on before something else has happened. */
export function gate(): [opened: Promise<void>, open: () => void] {
  let open = () => {}
  const opened = new Promise<void>((resolve) => (open = resolve))
  return [opened, open]
}
