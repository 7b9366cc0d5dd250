/** What of a source's items was too long to be kept whole, by sort of part. Every source is read anew once, so that what is stored is cut as well. */
export const cut = {
  name: '0006-source-cut',
  sql: `
ALTER TABLE sources ADD COLUMN cut jsonb NOT NULL DEFAULT '{}';
UPDATE sources SET content_hash = NULL, etag = NULL, last_modified = NULL;
`,
}

/** What a sort of source remembers between two readings, whether it is paused, and the accounts by which some are read. */
export const services = {
  name: '0016-source-services',
  sql: `
ALTER TABLE sources ADD COLUMN state jsonb, ADD COLUMN paused boolean NOT NULL DEFAULT false, ADD COLUMN picture jsonb;
CREATE TABLE source_accounts (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  kind text NOT NULL,
  remote_id text NOT NULL,
  name text NOT NULL,
  access_token text NOT NULL,
  refresh_token text,
  expires_at timestamptz NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (kind, remote_id)
);
ALTER TABLE sources ADD COLUMN account_id uuid REFERENCES source_accounts (id) ON DELETE SET NULL;
CREATE TABLE source_consents (
  state_hash text PRIMARY KEY,
  source_id uuid NOT NULL REFERENCES sources (id) ON DELETE CASCADE,
  user_id uuid NOT NULL REFERENCES users (id) ON DELETE CASCADE,
  verifier text NOT NULL,
  expires_at timestamptz NOT NULL
);
CREATE INDEX sources_account ON sources (account_id);
CREATE INDEX source_consents_source ON source_consents (source_id);
`,
}

/** Who a source is of, at its service. */
export const profile = {
  name: '0019-source-profile',
  sql: `ALTER TABLE sources ADD COLUMN profile jsonb`,
}

/** In which folder a source lies, of those a list of feeds had or a person gave. */
export const folder = {
  name: '0021-source-folder',
  sql: `ALTER TABLE sources ADD COLUMN folder text NOT NULL DEFAULT ''`,
}

/** What a source says its ratings come to, of all there are. */
export const rating = {
  name: '0015-source-rating',
  sql: `ALTER TABLE sources ADD COLUMN rating jsonb`,
}

/** When the newest reading of a source began, so that one that took longer does not undo it. */
export const readings = {
  name: '0035-source-readings',
  sql: `ALTER TABLE sources ADD COLUMN reading_began_at timestamptz`,
}

/** One at a time renews an account's token, without a lock while the service is asked. */
export const renewals = {
  name: '0037-source-renewals',
  sql: `ALTER TABLE source_accounts ADD COLUMN claimed_until timestamptz`,
}

/** What a source says beside its items is one column, whatever it is; pages are read anew for what was not looked for before. */
export const facts = {
  name: '0041-source-facts',
  sql: `
ALTER TABLE sources ADD COLUMN facts jsonb NOT NULL DEFAULT '{}';
UPDATE sources SET facts = jsonb_build_object('rating', rating, 'picture', picture, 'profile', profile);
UPDATE sources SET content_hash = NULL, etag = NULL, last_modified = NULL WHERE kind = 'structured-data';
ALTER TABLE sources DROP COLUMN rating, DROP COLUMN picture, DROP COLUMN profile;
`,
}
