/** Mails about sheets: what goes out, and what became of it. */
export const mails = {
  name: '0030-mails',
  sql: `
CREATE TABLE mails (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  sheet_id uuid REFERENCES sheets (id) ON DELETE CASCADE,
  kind text NOT NULL,
  to_name text NOT NULL DEFAULT '',
  to_mail text NOT NULL,
  reply_to text,
  subject text NOT NULL,
  text text NOT NULL,
  html text NOT NULL,
  state text NOT NULL DEFAULT 'queued' CHECK (state IN ('queued', 'sent', 'bounced', 'failed')),
  tries integer NOT NULL DEFAULT 0,
  problem text,
  queued_at timestamptz NOT NULL DEFAULT now(),
  sent_at timestamptz
);
CREATE INDEX mails_sheet ON mails (sheet_id);
CREATE INDEX mails_queued ON mails (queued_at) WHERE state = 'queued';
CREATE INDEX mails_to ON mails (lower(to_mail), queued_at);
`,
}

/** Who sends a mail claims it for a while; a try that failed says when the next one is. */
export const mailClaims = {
  name: '0034-mail-claims',
  sql: `
ALTER TABLE mails ADD COLUMN claim integer NOT NULL DEFAULT 0;
ALTER TABLE mails ADD COLUMN claimed_until timestamptz;
ALTER TABLE mails ADD COLUMN next_at timestamptz NOT NULL DEFAULT now();
UPDATE mails SET reply_to = NULL WHERE lead_ids <> '[]' AND state <> 'queued';
DROP INDEX mails_queued;
CREATE INDEX mails_queued ON mails (next_at) WHERE state = 'queued';
`,
}
