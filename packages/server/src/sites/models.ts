import type { PlacementKnown } from '@pebblestrand/contract'
import type { SiteLook } from '@pebblestrand/core/look'
import type { SitePolicy } from '@pebblestrand/core/policy'
import type { Region } from '@pebblestrand/core/platforms'
import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize,
} from 'sequelize'
import {
  id,
  integer,
  json,
  maybeJson,
  maybeRef,
  maybeText,
  maybeTime,
  ref,
  text,
  time,
  yesNo,
} from '../platform/database/columns'
import type { NotedChange } from './look/note-changes'

export class Client extends Model<InferAttributes<Client>, InferCreationAttributes<Client>> {
  declare id: CreationOptional<string>
  declare name: string
  /** Whether the agency's line stands below what is installed for it. */
  declare credited: CreationOptional<boolean>
  declare createdAt: CreationOptional<Date>
}

/** Rules of a page, as they were last seen; `at` in ISO 8601. */
export type SeenPolicy = SitePolicy & { at: string }

export class Site extends Model<InferAttributes<Site>, InferCreationAttributes<Site>> {
  declare id: CreationOptional<string>
  declare clientId: string
  declare name: string
  declare origin: string
  declare platform: string
  declare cacheMinutes: CreationOptional<number>
  /** Whether a connector of ours there replaces shortcodes. */
  declare connector: CreationOptional<boolean>
  /** For whoever pastes there. */
  declare pasteNotes: CreationOptional<string>
  declare timeZone: CreationOptional<string>
  /** BCP 47; null where nobody knows. */
  declare language: CreationOptional<string | null>
  declare look: CreationOptional<SiteLook | null>
  declare lookedAt: CreationOptional<Date | null>
  /** What of it is no longer as it is noted, as a browser saw it last. */
  declare lookChanges: CreationOptional<NotedChange[]>
  declare keeperId: CreationOptional<string | null>
  declare createdAt: CreationOptional<Date>
  declare Client?: NonAttribute<Client>
}

/** A path, or a pattern of paths ending in *; '/*' is every page. */
export class Page extends Model<InferAttributes<Page>, InferCreationAttributes<Page>> {
  declare id: CreationOptional<string>
  declare siteId: string
  declare title: string
  declare path: string
  /** Where an editor's preview of it can be seen without signing in; null where the site gives none. */
  declare previewUrl: CreationOptional<string | null>
  /** Its rules as they were last seen; null where nobody has looked. */
  declare policySeen: CreationOptional<SeenPolicy | null>
  /** BCP 47, as the page itself says; null where it does not, or nobody has looked. */
  declare languageSeen: CreationOptional<string | null>
  /** Whether the site's tag was on it at the last look; null where nobody has looked since there is one. */
  declare tagSeen: CreationOptional<boolean | null>
  declare position: CreationOptional<number>
  declare Site?: NonAttribute<Site>
}

/** One region of a page that can hold a widget; without a page it is shared by all pages of the site. */
export class Placement extends Model<InferAttributes<Placement>, InferCreationAttributes<Placement>> {
  declare id: CreationOptional<string>
  declare siteId: string
  declare pageId: CreationOptional<string | null>
  declare name: string
  declare region: Region
  /** Px in a wide window, and in narrower ones where that is known. */
  declare width: number
  declare widthTablet: CreationOptional<number | null>
  declare widthPhone: CreationOptional<number | null>
  declare known: CreationOptional<PlacementKnown>
  /** Px that a browser last saw it to be, where that is not what is noted. */
  declare widthSeen: CreationOptional<number | null>
  declare selector: CreationOptional<string | null>
  declare position: CreationOptional<number>
}

export function defineSites(sequelize: Sequelize): void {
  Client.init(
    { id: id(), name: text(), credited: yesNo(), createdAt: time() },
    { sequelize, modelName: 'Client', tableName: 'clients' },
  )
  Site.init(
    {
      id: id(),
      clientId: ref(),
      name: text(),
      origin: text(),
      platform: text(),
      cacheMinutes: integer(0),
      connector: yesNo(),
      pasteNotes: { ...text(), defaultValue: '' },
      timeZone: { ...text(), defaultValue: 'UTC' },
      language: maybeText(),
      look: maybeJson(),
      lookedAt: maybeTime(),
      lookChanges: json([]),
      keeperId: maybeRef(),
      createdAt: time(),
    },
    { sequelize, modelName: 'Site', tableName: 'sites' },
  )
  Page.init(
    {
      id: id(),
      siteId: ref(),
      title: text(),
      path: text(),
      previewUrl: maybeText(),
      policySeen: maybeJson(),
      languageSeen: maybeText(),
      tagSeen: { type: DataTypes.BOOLEAN, allowNull: true },
      position: integer(0),
    },
    { sequelize, modelName: 'Page', tableName: 'pages' },
  )
  Placement.init(
    {
      id: id(),
      siteId: ref(),
      pageId: maybeRef(),
      name: text(),
      region: text(),
      width: integer(),
      widthTablet: { type: DataTypes.INTEGER, allowNull: true },
      widthPhone: { type: DataTypes.INTEGER, allowNull: true },
      known: { ...text(), defaultValue: 'noted' },
      widthSeen: { type: DataTypes.INTEGER, allowNull: true },
      selector: maybeText(),
      position: integer(0),
    },
    { sequelize, modelName: 'Placement', tableName: 'placements' },
  )
  Site.belongsTo(Client, { foreignKey: 'clientId' })
  Page.belongsTo(Site, { foreignKey: 'siteId' })
}
