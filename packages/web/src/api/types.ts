import type * as contract from '@pebblestrand/contract'
import type { z } from 'zod'

// Shapes of answers, as they come over the wire: times are ISO 8601 texts. The contract says what is in them.

type Wire<S extends z.ZodType> = z.input<S>

export interface Paged<T> {
  rows: T[]
  total: number
  page: number
  size: number
}

export type Person = Wire<typeof contract.Person>
export type SiteRow = Wire<typeof contract.SiteRow>
export type Page = Wire<typeof contract.Page>
export type Placement = Wire<typeof contract.Placement>
export type InstallOnSite = Wire<typeof contract.InstallOnSite>
export type SiteDetail = Wire<typeof contract.SiteDetail>
export type Place = Wire<typeof contract.Place>
export type WidgetRow = Wire<typeof contract.WidgetRow>
export type WidgetDetail = Wire<typeof contract.WidgetDetail>
export type SourceInfo = Wire<typeof contract.SourceInfo>
export type SourceDetail = Wire<typeof contract.SourceDetail>
export type Entry = Wire<typeof contract.Entry>
export type Draft = Wire<typeof contract.Draft>
export type RegisterRow = Wire<typeof contract.RegisterRow>
export type FilterValues = Wire<typeof contract.FilterValues>
export type FindingInfo = Wire<typeof contract.Finding>
export type InstallDetail = Wire<typeof contract.InstallDetail>
export type WaitingInstall = Wire<typeof contract.WaitingInstall>
export type TodayAnswer = contract.Answer<typeof contract.routes.today.read>
export type RemovalRow = Wire<typeof contract.Removal>
export type BroughtBack = contract.Answer<typeof contract.routes.removals.bringBack>
export type Found = Wire<typeof contract.Found>
export type {
  BroughtFeeds,
  CheckState,
  Foresight,
  FileReading,
  FoundSource,
  PageFacts,
  ReadBookmarks,
  ReadFeedList,
  ReadFile,
  Removable,
  Thumbnail,
  Tried,
  TypedPick,
  TypedReview,
} from '@pebblestrand/contract'
