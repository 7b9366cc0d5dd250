import {
  askedFields,
  dayIn,
  daysAfter,
  fieldsOf,
  readResponses,
  SENT,
  type Field,
  type FieldFault,
} from '@pebblestrand/core/forms/filling'
import type { FormData as Told } from '@pebblestrand/core/kinds'
import type { BehaviourContext } from '../behaviour'
import { afterwards } from './afterwards'
import { faultWords, markAll, markField } from './fault-words'
import { Keeping } from './keeping'
import { Sending, type Sent } from './sending'
import { Steps } from './steps'
import { fillHidden, pageAddress, putBack, valuesIn } from './values'

export type Place = Pick<BehaviourContext, 'root' | 'element' | 'id' | 'origin' | 'nodes'> & { release: string }

/** A form while it is filled in, until it has arrived. */
export class Filling {
  private readonly fields: Field[]
  private readonly keeping: Keeping
  private readonly sending: Sending
  private readonly steps: Steps
  private readonly ends = new AbortController()
  private readonly since = performance.now()

  constructor(
    private readonly form: HTMLFormElement,
    private readonly told: Told,
    private readonly place: Place,
  ) {
    this.fields = fieldsOf(told.fields)
    this.keeping = new Keeping(place.id, !(place.root instanceof ShadowRoot))
    this.sending = new Sending(place, this.keeping, (sent) => this.hear(sent))
    form.noValidate = true
    this.steps = new Steps(form, told.words.step)
    this.limitDays()
    const { draft } = this.keeping
    if (draft) putBack(form, this.fields, draft)
    this.askAnew()
    this.listen()
    if (place.id && this.sending.resume()) this.say('sending', true)
  }

  /** The day it is at the site; days are its days, wherever who fills it in is. */
  private get circumstances() {
    return { today: dayIn(this.told.timeZone, new Date()) }
  }

  private listen(): void {
    const { signal } = this.ends
    const { form } = this
    form.addEventListener(
      'input',
      ({ target }) => {
        this.keeping.draft = valuesIn(form)
        this.askAnew()
        this.unmark(target as Element)
      },
      { signal },
    )
    form.addEventListener('change', ({ target }) => this.leave(target as Element), { signal })
    // What is said at a field moves what is below it: not away from under a pointer that is pressing it.
    let isPressed = false
    document.addEventListener('pointerdown', () => (isPressed = true), { capture: true, signal })
    for (const end of ['pointerup', 'pointercancel'])
      document.addEventListener(end, () => (isPressed = false), { capture: true, signal })
    form.addEventListener(
      'focusout',
      ({ target }) => {
        const leave = () => this.leave(target as Element)
        if (!isPressed) return leave()
        document.addEventListener('pointerup', () => setTimeout(leave, 0), { once: true, signal })
      },
      { signal },
    )
    // A frame that is not allowed to send forms tells of no press to send one: the button itself is listened to, and Enter presses it.
    form.addEventListener(
      'click',
      (event) => {
        const button = (event.target as Element).closest('button')
        if (!button) return
        if (button.classList.contains('bk')) this.steps.show(this.steps.at - 1, true)
        else if (button.classList.contains('nx') || button.classList.contains('sd')) {
          event.preventDefault()
          this.goOn()
        }
      },
      { signal },
    )
    // Enter in a step before the last means: on to the next.
    form.addEventListener(
      'keydown',
      (event) => {
        const { key, target } = event
        if (key !== 'Enter' || !(target instanceof HTMLInputElement) || event.isComposing) return
        event.preventDefault()
        this.goOn()
      },
      { signal },
    )
    form.addEventListener('submit', (event) => event.preventDefault(), { signal })
    addEventListener('online', () => this.place.id && this.sending.resume(), { signal })
  }

  /** Days that can be chosen, as the browser's own calendar takes them. */
  private limitDays(): void {
    const { today } = this.circumstances
    for (const field of this.fields) {
      if (field.is !== 'date') continue
      const input = this.form.elements.namedItem(field.name) as HTMLInputElement
      if (field.fromDays !== null) input.min = daysAfter(today, field.fromDays)
      if (field.untilDays !== null) input.max = daysAfter(today, field.untilDays)
    }
  }

  /** Shows what is asked for, by what was answered so far. */
  private askAnew(): void {
    const asked = askedFields(this.told.fields, valuesIn(this.form), this.circumstances)
    for (const { name } of this.fields) {
      const field = this.form.querySelector<HTMLElement>(`[data-field="${name}"]`)
      if (field) field.hidden = !asked.has(name)
    }
  }

  private get faults(): Record<string, FieldFault> {
    const read = readResponses(this.told.fields, valuesIn(this.form), this.circumstances)
    return read.well ? {} : read.faults
  }

  /** What is wrong with a field is said once it is left; what was merely passed by is not yet missing. */
  private leave(control: Element): void {
    const name = control.closest<HTMLElement>('[data-field]')?.dataset.field
    if (!name) return
    const fault = this.faults[name]
    const wasMarked = control.getAttribute('aria-invalid') === 'true'
    const isEmpty = fault?.code === 'missing' || fault?.code === 'not-ticked'
    if (!fault) markField(this.form, name, null)
    else if (!isEmpty || wasMarked) markField(this.form, name, faultWords(fault, this.told))
  }

  /** What was wrong and is no longer so is not said any longer than that. */
  private unmark(control: Element): void {
    const name = control.closest<HTMLElement>('[data-field]')?.dataset.field
    if (name && control.getAttribute('aria-invalid') === 'true' && !this.faults[name]) markField(this.form, name, null)
  }

  private namesIn = (step: number): string[] => this.told.fields.steps[step]!.fields.map(({ name }) => name)

  private goOn(): void {
    const { steps, form, told } = this
    const isWell = markAll(form, this.namesIn(steps.at), this.faults, told)
    this.say(isWell ? null : 'mendMarked')
    if (!isWell) return
    if (steps.isLast) this.send()
    else steps.show(steps.at + 1, true)
  }

  private send(): void {
    const { form, fields, place } = this
    if (form.ariaBusy === 'true') return
    fillHidden(form, fields)
    this.say('sending', true)
    if (!place.id) return this.hear({ how: 'arrived', results: '' })
    const asked = askedFields(this.told.fields, valuesIn(form), this.circumstances)
    const body = new URLSearchParams()
    for (const [name, value] of new FormData(form))
      if (typeof value === 'string' && (name.startsWith('_') || asked.has(name))) body.append(name, value)
    this.sending.send(this.withCircumstances(body).toString())
  }

  private withCircumstances(body: URLSearchParams): URLSearchParams {
    // The same pressed twice is the same: how long it took is said in whole tens of seconds, of what matters in seconds.
    const took = performance.now() - this.since
    body.set(SENT.took, String(took < 10_000 ? Math.round(took / 1000) * 1000 : 10_000))
    const page = pageAddress()
    if (page) body.set(SENT.page, page.pathname)
    if (URL.canParse(document.referrer)) body.set(SENT.from, new URL(document.referrer).host)
    body.set(SENT.language, this.told.locale)
    return body
  }

  private hear(sent: Sent): void {
    const { form, told } = this
    if (sent.how === 'arrived') {
      this.keeping.draft = null
      this.say(null)
      return afterwards(form, told.after, sent.results, this.place)
    }
    if (sent.how === 'later') return this.say('keptHere', true)
    if (sent.how === 'refused') return this.say('notSent')
    const first = Math.min(...Object.keys(sent.faults).map((name) => this.steps.stepOf(name)))
    if (first >= 0 && first < this.steps.all.length) this.steps.show(first, false)
    markAll(
      form,
      this.fields.map((field) => field.name),
      sent.faults,
      told,
    )
    this.say('mendMarked')
  }

  /** Says how it is going, to who sees it and who hears it. @param busy whether it is on its way */
  private say(what: Exclude<keyof Told['words'], 'step'> | null, busy = false): void {
    const line = this.form.querySelector<HTMLElement>('.ms')
    if (line) line.textContent = what ? this.told.words[what] : ''
    this.form.ariaBusy = String(busy)
    for (const button of this.form.querySelectorAll('.sd')) button.setAttribute('aria-busy', String(busy))
  }

  end(): void {
    this.ends.abort()
    this.sending.end()
  }
}
