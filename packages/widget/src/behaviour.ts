/** What a behaviour is given when its widget has been shown. */
export interface BehaviourContext {
  /** Where the widget's HTML is: a shadow root, or the element itself on a page of ours. */
  root: ParentNode
  element: HTMLElement
  /** Tells the server that something happened here; does nothing on the workbench's stage. Never throws: false where it was not heard. */
  tell(what?: unknown): Promise<boolean>
  /** What the kind's render gave for its behaviours. */
  data: Record<string, unknown>
}

/** A module under behaviours/ exports one of these by default. What it gives back undoes it, when the widget is shown anew. */
export type Behaviour = (context: BehaviourContext) => void | (() => void)
