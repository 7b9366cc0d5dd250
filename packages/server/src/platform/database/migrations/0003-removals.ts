/** What was taken out lies here, row by row as it was, until it is brought back or forgotten. */
export const up = `
CREATE TABLE removals (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  what text NOT NULL CHECK (what IN ('site', 'page', 'placement', 'widget', 'install')),
  subject_id uuid NOT NULL, site_id uuid,
  name text NOT NULL, place text NOT NULL,
  counts jsonb NOT NULL,
  removed_by uuid REFERENCES users ON DELETE SET NULL, removed_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX removals_newest ON removals (removed_at DESC, id);

CREATE TABLE removed_rows (
  removal_id uuid NOT NULL REFERENCES removals ON DELETE CASCADE,
  position integer NOT NULL,
  table_name text NOT NULL, row_before jsonb NOT NULL
);
CREATE INDEX removed_rows_removal ON removed_rows (removal_id, position);

-- Public ids whose installs were removed: a page that still has one is told that it is gone for good.
CREATE TABLE former_ids (public_id text PRIMARY KEY);

-- What refers to something that can be taken out is found without reading the whole table.
CREATE INDEX installs_widget ON installs (widget_id);
CREATE INDEX installs_last_check ON installs (last_check_id);
CREATE INDEX payloads_release ON payloads (release_id);
CREATE INDEX activity_widget ON activity (widget_id);
CREATE INDEX activity_site ON activity (site_id);
`
