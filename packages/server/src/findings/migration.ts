/** Who took a check last: what an earlier taker found after that is not written over it. */
export const attempts = {
  name: '0007-check-attempts',
  sql: `ALTER TABLE checks ADD COLUMN attempt uuid`,
}

/** What browsers measured, and the pictures they took. */
export const sights = {
  name: '0011-sights',
  sql: `ALTER TABLE looks ADD COLUMN sight jsonb, ADD COLUMN picture bytea`,
}

/** Findings that a person has put away. */
export const mutes = {
  name: '0013-mutes',
  sql: `
CREATE TABLE mutes (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  install_id uuid NOT NULL REFERENCES installs ON DELETE CASCADE,
  code text NOT NULL,
  reason text NOT NULL,
  until timestamptz NOT NULL,
  muted_by uuid REFERENCES users ON DELETE SET NULL,
  muted_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (install_id, code)
);
CREATE INDEX mutes_muted_by ON mutes (muted_by);`,
}

/** One more reason for a check: that a browser is to look. */
export const sightCause = {
  name: '0014-check-for-a-sight',
  sql: `
ALTER TABLE checks DROP CONSTRAINT checks_cause_check;
ALTER TABLE checks ADD CONSTRAINT checks_cause_check CHECK (cause IN ('plan', 'person', 'round', 'retire', 'sight'))`,
}

/** Which looks are kept as evidence of a change, and what the history is tidied by. */
export const history = {
  name: '0042-check-history',
  sql: `
ALTER TABLE readings ADD COLUMN is_evidence boolean NOT NULL DEFAULT false;
CREATE INDEX readings_evidence ON readings (began_at) WHERE is_evidence;
CREATE INDEX checks_finished ON checks (finished_at) WHERE finished_at IS NOT NULL;
CREATE INDEX checks_reading ON checks (reading_id) WHERE reading_id IS NOT NULL;
CREATE INDEX rounds_finished ON rounds (finished_at) WHERE finished_at IS NOT NULL`,
}
