/** Sessions that can be named, seen and ended, with an end of their own; browsers that an account was signed in with before. */
export const knownSessions = {
  name: '0008-known-sessions',
  sql: `
ALTER TABLE sessions
  ADD COLUMN id uuid NOT NULL DEFAULT gen_random_uuid() UNIQUE,
  ADD COLUMN seen_at timestamptz NOT NULL DEFAULT now(),
  ADD COLUMN ends_at timestamptz NOT NULL DEFAULT now() + interval '30 days',
  ADD COLUMN browser text NOT NULL DEFAULT '';
CREATE TABLE devices (
  token_hash text PRIMARY KEY,
  user_id uuid NOT NULL REFERENCES users ON DELETE CASCADE,
  used_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX devices_user ON devices (user_id, used_at);
CREATE INDEX activity_user_verb ON activity (user_id, verb, at DESC);
`,
}
