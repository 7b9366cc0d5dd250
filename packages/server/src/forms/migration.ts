/**
 * What visitors send: leads, what becomes of each, the codes they get, and counts that carry no person. By public id, so that a lead
 * outlives the install it came by.
 */
export const forms = {
  name: '0032-forms',
  sql: `
CREATE TABLE forms (
  widget_id uuid PRIMARY KEY REFERENCES widgets (id) ON DELETE CASCADE,
  delivery jsonb NOT NULL DEFAULT '{}',
  webhook_secret text NOT NULL DEFAULT ''
);
CREATE TABLE leads (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  public_id text NOT NULL,
  key text NOT NULL,
  widget_id uuid NOT NULL REFERENCES widgets (id) ON DELETE CASCADE,
  site_id uuid REFERENCES sites (id) ON DELETE CASCADE,
  page_path text NOT NULL DEFAULT '',
  release integer NOT NULL,
  state text NOT NULL DEFAULT 'new' CHECK (state IN ('new', 'done', 'spam', 'held')),
  held_for text,
  is_test boolean NOT NULL DEFAULT false,
  content text NOT NULL,
  mail_hashes jsonb NOT NULL DEFAULT '[]',
  at timestamptz NOT NULL DEFAULT now(),
  delivered_at timestamptz,
  UNIQUE (public_id, key)
);
CREATE INDEX leads_widget ON leads (widget_id, at DESC);
CREATE INDEX leads_site ON leads (site_id, at DESC);
CREATE INDEX leads_at ON leads (at DESC, id);
CREATE INDEX leads_mail ON leads USING gin (mail_hashes jsonb_path_ops);
CREATE INDEX leads_undelivered ON leads (at) WHERE delivered_at IS NULL AND state <> 'held';
CREATE INDEX leads_held ON leads (widget_id) WHERE state = 'held';
ALTER TABLE mails ADD COLUMN from_name text NOT NULL DEFAULT '';
ALTER TABLE mails ADD COLUMN lead_ids jsonb NOT NULL DEFAULT '[]';
CREATE INDEX mails_leads ON mails USING gin (lead_ids jsonb_path_ops) WHERE lead_ids <> '[]';
CREATE TABLE lead_deliveries (
  lead_id uuid NOT NULL REFERENCES leads (id) ON DELETE CASCADE,
  what text NOT NULL CHECK (what IN ('reply', 'note-agency', 'note-client', 'webhook')),
  state text NOT NULL CHECK (state IN ('waiting', 'queued', 'sent', 'failed')),
  tries integer NOT NULL DEFAULT 0,
  problem text,
  next_at timestamptz,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (lead_id, what)
);
CREATE INDEX lead_deliveries_open ON lead_deliveries (what, state) WHERE state IN ('waiting', 'queued');
CREATE TABLE coupons (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  widget_id uuid NOT NULL REFERENCES widgets (id) ON DELETE CASCADE,
  code text NOT NULL,
  lead_id uuid REFERENCES leads (id) ON DELETE SET NULL,
  given_at timestamptz,
  UNIQUE (widget_id, code)
);
CREATE INDEX coupons_left ON coupons (widget_id, id) WHERE given_at IS NULL;
CREATE INDEX coupons_lead ON coupons (lead_id);
CREATE TABLE poll_counts (
  widget_id uuid NOT NULL REFERENCES widgets (id) ON DELETE CASCADE,
  field text NOT NULL, value text NOT NULL, count integer NOT NULL DEFAULT 0 CHECK (count >= 0),
  PRIMARY KEY (widget_id, field, value)
);
CREATE TABLE form_tests (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  widget_id uuid NOT NULL REFERENCES widgets (id) ON DELETE CASCADE,
  public_id text NOT NULL DEFAULT '',
  to_mail text NOT NULL DEFAULT '',
  asked_by uuid REFERENCES users (id) ON DELETE SET NULL,
  lead_id uuid REFERENCES leads (id) ON DELETE SET NULL,
  steps jsonb NOT NULL DEFAULT '[]',
  state text NOT NULL DEFAULT 'running' CHECK (state IN ('running', 'well', 'stopped')),
  began_at timestamptz NOT NULL DEFAULT now(),
  ended_at timestamptz
);
CREATE INDEX form_tests_widget ON form_tests (widget_id, began_at DESC);
CREATE INDEX form_tests_public ON form_tests (public_id, began_at DESC);
CREATE INDEX form_tests_lead ON form_tests (lead_id);
CREATE TABLE erasures (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  mail_hash text NOT NULL,
  counts jsonb NOT NULL,
  erased_by uuid REFERENCES users (id) ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX erasures_by ON erasures (erased_by);
CREATE INDEX erasures_at ON erasures (at DESC);
`,
}
