export { Item, ItemHead, itemId, sourceOf, type Entry } from './item'
export {
  ArticleBody,
  bodyTypes,
  ItemBody,
  Picture,
  readingOf,
  PickBody,
  PostBody,
  ReviewBody,
  VideoBody,
  type BodyType,
  type PictureRole,
} from './bodies'
export { articleItem } from './article'
export { reviewItem } from './review'
export { gather, type SourceEntries } from './gather'
export { isStorable, storable } from './storable'
