export { cacheMinutes, type Answered } from './cache'
export type { Fact } from './fact'
export { nameFrom, readFirstPage, type FirstPage } from './first-page'
export { pagesOf, type FoundPage } from './pages'
export {
  NUMBER,
  roomsOf,
  sharedRooms,
  windowIds,
  type MeasuredBox,
  type MeasuredPage,
  type Room,
  type SharedRoom,
  type WindowId,
} from './rooms'
export { readSiteMap, siteMapsNamed, type SiteMap } from './site-map'
