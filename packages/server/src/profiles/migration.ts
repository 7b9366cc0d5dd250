/** Platform profiles of the agency's own; what beside the platform decides how one pastes: a connector, notes, a page's policy. */
export const ownProfiles = {
  name: '0027-own-profiles',
  sql: `
CREATE TABLE own_profiles (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  key text NOT NULL UNIQUE,
  copied_from text NOT NULL,
  profile jsonb NOT NULL,
  site_id uuid REFERENCES sites ON DELETE CASCADE,
  made_by uuid REFERENCES users ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX own_profiles_site ON own_profiles (site_id);
CREATE INDEX own_profiles_made_by ON own_profiles (made_by);
ALTER TABLE sites ADD COLUMN connector boolean NOT NULL DEFAULT false,
  ADD COLUMN paste_notes text NOT NULL DEFAULT '';
ALTER TABLE pages ADD COLUMN policy_seen jsonb, ADD COLUMN tag_seen boolean;
ALTER TABLE installs ADD COLUMN snippet_options jsonb NOT NULL DEFAULT '{}';
`,
}
