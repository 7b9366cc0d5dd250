/** People of clients, private links for them, and what was handed over by which. */
export const handover = {
  name: '0029-handover',
  sql: `
CREATE TABLE contacts (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  client_id uuid NOT NULL REFERENCES clients (id) ON DELETE CASCADE,
  name text NOT NULL,
  email text NOT NULL DEFAULT '',
  roles jsonb NOT NULL DEFAULT '[]',
  language text,
  site_ids jsonb NOT NULL DEFAULT '[]',
  added_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX contacts_client ON contacts (client_id);
CREATE TABLE sheets (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  token text NOT NULL UNIQUE,
  purpose text NOT NULL CHECK (purpose IN ('paste', 'remove', 'kept')),
  site_id uuid NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
  contact_id uuid REFERENCES contacts (id) ON DELETE SET NULL,
  to_name text NOT NULL DEFAULT '',
  to_mail text NOT NULL DEFAULT '',
  language text NOT NULL,
  message text NOT NULL DEFAULT '',
  ends_at timestamptz NOT NULL,
  withdrawn_at timestamptz,
  remind_after integer NOT NULL DEFAULT 0,
  remind_most integer NOT NULL DEFAULT 0,
  reminded integer NOT NULL DEFAULT 0,
  mailed_at timestamptz,
  made_by uuid REFERENCES users (id) ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX sheets_site ON sheets (site_id);
CREATE INDEX sheets_contact ON sheets (contact_id);
CREATE INDEX sheets_made_by ON sheets (made_by);
CREATE INDEX sheets_waiting ON sheets (mailed_at) WHERE withdrawn_at IS NULL AND remind_most > 0;
CREATE TABLE sheet_installs (
  sheet_id uuid NOT NULL REFERENCES sheets (id) ON DELETE CASCADE,
  install_id uuid NOT NULL REFERENCES installs (id) ON DELETE CASCADE,
  method text NOT NULL,
  snippet text NOT NULL,
  asked_at timestamptz,
  check_id uuid,
  trouble text,
  trouble_at timestamptz,
  PRIMARY KEY (sheet_id, install_id)
);
CREATE INDEX sheet_installs_install ON sheet_installs (install_id);
CREATE TABLE sheet_visits (
  sheet_id uuid NOT NULL REFERENCES sheets (id) ON DELETE CASCADE,
  day date NOT NULL,
  visits integer NOT NULL DEFAULT 0,
  PRIMARY KEY (sheet_id, day)
);
`,
}
