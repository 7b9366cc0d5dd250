/** Whether the agency's line stands below what is installed for a client, and designs that the agency keeps for itself. */
export const creditAndStarters = {
  name: '0022-credit-and-starters',
  sql: `
ALTER TABLE clients ADD COLUMN credited boolean NOT NULL DEFAULT false;
CREATE TABLE agency_starters (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  kind text NOT NULL,
  name text NOT NULL,
  settings jsonb NOT NULL,
  kind_version integer NOT NULL,
  made_by uuid REFERENCES users (id) ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX agency_starters_made_by ON agency_starters (made_by);
`,
}
