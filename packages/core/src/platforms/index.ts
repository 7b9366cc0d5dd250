export { profiles, profileList } from './list'
export {
  boxPlaces,
  PlatformProfile,
  profileSchema,
  stepIds,
  type BoxPlace,
  type CacheLayer,
  type EditorBox,
  type ProfileStep,
  type Sign,
  type StepId,
} from './profile'
export { matchesGlob } from './glob'
export { sandboxTokens, type SandboxToken } from './sandbox'
export { addressFates, markupFates, partIds, shortcodeFates, snippetParts, type SnippetPart } from './snippet-part'
export { regions, regionIds, type Region } from './region'
