/** One step in sight at a time, with how far it is and a way back. */
export class Steps {
  readonly all: HTMLElement[]
  at = 0
  private readonly progress: HTMLElement | null
  private readonly buttons: Record<'back' | 'next' | 'send', HTMLButtonElement | null>

  /** @param words "Step {n} of {all}" */
  constructor(
    private readonly form: HTMLFormElement,
    private readonly words: string,
  ) {
    this.all = [...form.querySelectorAll<HTMLElement>('[data-step]')]
    this.progress = form.querySelector('.pg')
    const button = (name: string) => form.querySelector<HTMLButtonElement>(`button.${name}`)
    this.buttons = { back: button('bk'), next: button('nx'), send: button('sd') }
    this.show(0, false)
  }

  get isLast(): boolean {
    return this.at === this.all.length - 1
  }

  /** @param moves whether the focus goes along */
  show(at: number, moves: boolean): void {
    this.at = Math.min(Math.max(at, 0), this.all.length - 1)
    for (const [number, step] of this.all.entries()) step.hidden = number !== this.at
    const { back, next, send } = this.buttons
    if (back) back.hidden = this.at === 0
    if (next) next.hidden = this.isLast
    if (send) send.hidden = !this.isLast
    if (this.progress) {
      this.progress.hidden = false
      this.progress.firstElementChild!.textContent = this.words
        .replace('{n}', String(this.at + 1))
        .replace('{all}', String(this.all.length))
      this.progress.querySelector('progress')!.value = this.at + 1
    }
    if (moves)
      this.form
        .querySelector<HTMLElement>('[data-step]:not([hidden]) [data-field]:not([hidden]) :is(input,select,textarea)')
        ?.focus()
  }

  /** The step that a field is asked for in. */
  stepOf(name: string): number {
    return this.all.findIndex((step) => step.querySelector(`[data-field="${name}"]`))
  }
}
