// Regions and the schema of a profile, without the profiles that ship.
export { boxPlaces, PlatformProfile, stepIds, type BoxPlace, type EditorBox } from './profile'
export { regions, regionIds, type Region } from './region'
