/** What is read of a site; widths at narrower windows; how a placement's widths are known, and what they were last seen to be. */
export const siteReadings = {
  name: '0012-site-readings',
  sql: `
ALTER TABLE sites ADD COLUMN language text;
ALTER TABLE pages ADD COLUMN preview_url text;
ALTER TABLE placements ADD COLUMN width_tablet integer, ADD COLUMN width_phone integer, ADD COLUMN width_seen integer,
  ADD COLUMN known text NOT NULL DEFAULT 'noted';
CREATE TABLE site_readings (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  site_id uuid REFERENCES sites ON DELETE SET NULL,
  address text NOT NULL,
  asked_by uuid REFERENCES users ON DELETE SET NULL,
  asked_at timestamptz NOT NULL DEFAULT now(),
  state text NOT NULL DEFAULT 'queued',
  step text,
  done integer NOT NULL DEFAULT 0,
  total integer NOT NULL DEFAULT 0,
  finished_at timestamptz,
  problem text,
  read jsonb,
  picture bytea
);
CREATE INDEX site_readings_site ON site_readings (site_id, asked_at DESC);
CREATE INDEX site_readings_asked_by ON site_readings (asked_by);`,
}

/** What of a site's look is no longer as it was noted. */
export const lookChanged = {
  name: '0026-look-changes',
  sql: `ALTER TABLE sites ADD COLUMN look_changes jsonb NOT NULL DEFAULT '[]'`,
}

/** The language that a page was seen to be in, where its site has several. */
export const pageLanguage = {
  name: '0028-page-language',
  sql: `ALTER TABLE pages ADD COLUMN language_seen text`,
}
