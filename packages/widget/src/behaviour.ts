import type { Part, Rendered } from '@pebblestrand/core/kinds'

/** What a behaviour is given when its widget has been shown. */
export interface BehaviourContext {
  /** Where the widget's HTML is: a shadow root, or the element itself on a page of ours. */
  root: ParentNode
  element: HTMLElement
  /** Public id of the install; '' on the workbench's stage. */
  id: string
  /** Where Pebblestrand answers. */
  origin: string
  /** Shows another widget within this one, and brings it to life; gives what ends that. */
  showWithin(place: HTMLElement, rendered: Omit<Rendered, 'more'>): () => void
  /** Tells the server that something happened here; does nothing on the workbench's stage. Never throws: false where it was not heard. */
  tell(what?: unknown): Promise<boolean>
  /** More of what is shown, by its number from 1; null where there is none or it cannot be had. */
  part(number: number): Promise<Part | null>
  /** Markup that we rendered, as nodes; also on pages that take such from a policy only. */
  nodes(html: string): DocumentFragment
  /** Rules beside those the widget has already. */
  addStyle(css: string): void
  /** What the kind's render gave for its behaviours. */
  data: Record<string, unknown>
}

/** A module under behaviours/ exports one of these by default. What it gives back undoes it, when the widget is shown anew. */
export type Behaviour = (context: BehaviourContext) => void | (() => void)
