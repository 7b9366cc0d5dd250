import type { Control, ControlType } from '@pebblestrand/core/kinds'
import type { Component } from 'vue'
import ChoiceControl from './ChoiceControl.vue'
import ClockControl from './ClockControl.vue'
import ColourControl from './ColourControl.vue'
import HoursControl from './HoursControl.vue'
import ItemLinksControl from './ItemLinksControl.vue'
import ItemsControl from './ItemsControl.vue'
import LabelControl from './LabelControl.vue'
import LinkControl from './LinkControl.vue'
import ListControl from './ListControl.vue'
import NumberControl from './NumberControl.vue'
import ObjectControl from './ObjectControl.vue'
import PathsControl from './PathsControl.vue'
import PictureControl from './PictureControl.vue'
import RichControl from './RichControl.vue'
import SeveralControl from './SeveralControl.vue'
import SourceMostsControl from './SourceMostsControl.vue'
import SwitchControl from './SwitchControl.vue'
import TextControl from './TextControl.vue'
import TriggersControl from './TriggersControl.vue'
import WeekControl from './WeekControl.vue'
import WidgetControl from './WidgetControl.vue'
import WordsControl from './WordsControl.vue'

/** What every control is given, and says: `set` with each change, `done` where Enter means that this was all. */
export interface ControlProps {
  control: Control
  value: unknown
  label: string
}

/** What has a sheet of its own instead of a small panel. */
const withSheet = ['sources', 'css', 'fields'] as const
export type WithSheet = (typeof withSheet)[number]
export const hasSheet = (type: ControlType): type is WithSheet => (withSheet as readonly string[]).includes(type)

/** The component that changes a value in place, by the type of its control. */
export const controlComponents: Record<Exclude<ControlType, WithSheet>, Component> = {
  number: NumberControl,
  choice: ChoiceControl,
  switch: SwitchControl,
  words: WordsControl,
  text: TextControl,
  link: LinkControl,
  label: LabelControl,
  colour: ColourControl,
  items: ItemsControl,
  'item-links': ItemLinksControl,
  list: ListControl,
  object: ObjectControl,
  'source-mosts': SourceMostsControl,
  several: SeveralControl,
  rich: RichControl,
  'local-time': ClockControl,
  'time-of-day': ClockControl,
  day: ClockControl,
  hours: HoursControl,
  week: WeekControl,
  paths: PathsControl,
  picture: PictureControl,
  widget: WidgetControl,
  triggers: TriggersControl,
}

export const componentFor = ({ type }: Control): Component | null => (hasSheet(type) ? null : controlComponents[type])
