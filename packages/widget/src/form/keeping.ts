/** What is sent, and under which key: the same key is answered once. */
export interface Pending {
  key: string
  body: string
}

/**
 * What somebody wrote and has not sent yet, kept in their tab: a reload or a lost connection takes nothing from them. In a frame of
 * ours, which has no storage, the page's own entry in the tab's history keeps it; where nothing does, it lives as long as the page.
 */
export class Keeping {
  private readonly here = new Map<string, string>()

  /** @param ownPage whether the page is ours: the history of others is left alone */
  constructor(
    private readonly id: string,
    private readonly ownPage: boolean,
  ) {}

  private name = (what: string) => `pebblestrand-form-${what}-${this.id}`

  private stored(name: string): string | null {
    try {
      return sessionStorage.getItem(name)
    } catch {
      const state = (this.ownPage && (history.state as Record<string, unknown> | null)?.[name]) || null
      return typeof state === 'string' ? state : null
    }
  }

  private read<T>(what: string): T | null {
    const text = (this.id && this.stored(this.name(what))) || this.here.get(what)
    return text ? (JSON.parse(text) as T) : null
  }

  private write(what: string, value: unknown): void {
    const text = value === null ? null : JSON.stringify(value)
    if (text === null) this.here.delete(what)
    else this.here.set(what, text)
    if (!this.id) return
    const name = this.name(what)
    try {
      if (text === null) sessionStorage.removeItem(name)
      else sessionStorage.setItem(name, text)
    } catch {
      if (this.ownPage) history.replaceState({ ...(history.state as object | null), [name]: text }, '')
    }
  }

  get draft(): Record<string, unknown> | null {
    return this.read('draft')
  }
  set draft(values: Record<string, unknown> | null) {
    this.write('draft', values)
  }
  get pending(): Pending | null {
    return this.read('pending')
  }
  set pending(pending: Pending | null) {
    this.write('pending', pending)
  }
}
