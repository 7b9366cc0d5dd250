export { profiles } from './list'
export {
  capabilities,
  type Capability,
  type EditorBox,
  type PlatformProfile,
  type ProfileStep,
  type Sign,
  type StepId,
} from './profile'
export { regions, regionIds, type Region } from './region'
