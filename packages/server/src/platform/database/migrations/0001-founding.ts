/** The founding tables. Every list that is shown has an index in its order. */
export const up = `
CREATE TABLE instance (key text PRIMARY KEY, value text NOT NULL);

CREATE TABLE users (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  email text NOT NULL, name text NOT NULL, password_hash text NOT NULL,
  role text NOT NULL CHECK (role IN ('owner', 'member')),
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE UNIQUE INDEX users_email ON users (lower(email));

CREATE TABLE sessions (
  token_hash text PRIMARY KEY,
  user_id uuid NOT NULL REFERENCES users ON DELETE CASCADE,
  csrf text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now(), expires_at timestamptz NOT NULL
);
CREATE INDEX sessions_user ON sessions (user_id);
CREATE INDEX sessions_expiry ON sessions (expires_at);

-- Failed tries to sign in or set up; written by rate-limiter-flexible, whose columns these are.
CREATE TABLE tries (key varchar(255) PRIMARY KEY, points integer NOT NULL DEFAULT 0, expire bigint);

CREATE TABLE clients (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  name text NOT NULL, created_at timestamptz NOT NULL DEFAULT now()
);
CREATE UNIQUE INDEX clients_name ON clients (lower(name));

CREATE TABLE sites (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  client_id uuid NOT NULL REFERENCES clients ON DELETE RESTRICT,
  name text NOT NULL, origin text NOT NULL UNIQUE,
  platform text NOT NULL, cache_minutes integer NOT NULL DEFAULT 0 CHECK (cache_minutes >= 0),
  time_zone text NOT NULL DEFAULT 'UTC',
  look jsonb, looked_at timestamptz,
  keeper_id uuid REFERENCES users ON DELETE SET NULL,
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX sites_client ON sites (client_id);
CREATE INDEX sites_name ON sites (lower(name), id);

CREATE TABLE pages (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  site_id uuid NOT NULL REFERENCES sites ON DELETE CASCADE,
  title text NOT NULL, path text NOT NULL, position integer NOT NULL DEFAULT 0,
  UNIQUE (site_id, path)
);
CREATE INDEX pages_site ON pages (site_id, position);

CREATE TABLE placements (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  site_id uuid NOT NULL REFERENCES sites ON DELETE CASCADE,
  page_id uuid REFERENCES pages ON DELETE CASCADE,
  name text NOT NULL,
  region text NOT NULL CHECK (region IN ('header', 'main', 'sidebar', 'footer')),
  width integer NOT NULL CHECK (width BETWEEN 40 AND 4000),
  selector text, position integer NOT NULL DEFAULT 0,
  UNIQUE NULLS NOT DISTINCT (site_id, page_id, name)
);
CREATE INDEX placements_page ON placements (page_id);

CREATE TABLE sources (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  url text NOT NULL UNIQUE, title text NOT NULL, link text, format text NOT NULL,
  interval_minutes integer NOT NULL DEFAULT 30 CHECK (interval_minutes BETWEEN 5 AND 10080),
  etag text, last_modified text, content_hash text,
  fetched_at timestamptz, ok_at timestamptz, next_fetch_at timestamptz NOT NULL DEFAULT now(),
  failures integer NOT NULL DEFAULT 0, problem jsonb,
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX sources_due ON sources (next_fetch_at);

CREATE TABLE items (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  source_id uuid NOT NULL REFERENCES sources ON DELETE CASCADE,
  guid text NOT NULL, title text NOT NULL, text text NOT NULL, html text NOT NULL,
  author text, published_at timestamptz, link text, picture jsonb, labels jsonb NOT NULL DEFAULT '[]',
  position integer NOT NULL, seen_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (source_id, guid)
);
CREATE INDEX items_newest ON items (source_id, published_at DESC NULLS LAST, position);

CREATE TABLE widgets (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  kind text NOT NULL, name text NOT NULL,
  draft jsonb NOT NULL, draft_version integer NOT NULL DEFAULT 1, draft_saved_at timestamptz NOT NULL DEFAULT now(),
  starter text,
  created_by uuid REFERENCES users ON DELETE SET NULL, created_at timestamptz NOT NULL DEFAULT now()
);
CREATE UNIQUE INDEX widgets_name ON widgets (lower(name));
CREATE INDEX widgets_newest ON widgets (draft_saved_at DESC, id);

CREATE TABLE releases (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  widget_id uuid NOT NULL REFERENCES widgets ON DELETE CASCADE,
  number integer NOT NULL CHECK (number >= 1), settings jsonb NOT NULL,
  published_by uuid REFERENCES users ON DELETE SET NULL, published_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (widget_id, number)
);

-- Which sources a widget's draft or any of its releases reads: keeps a used source from being removed.
CREATE TABLE widget_sources (
  widget_id uuid NOT NULL REFERENCES widgets ON DELETE CASCADE,
  source_id uuid NOT NULL REFERENCES sources ON DELETE RESTRICT,
  PRIMARY KEY (widget_id, source_id)
);
CREATE INDEX widget_sources_source ON widget_sources (source_id);

CREATE TABLE installs (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  public_id text NOT NULL UNIQUE,
  widget_id uuid NOT NULL REFERENCES widgets ON DELETE RESTRICT,
  page_id uuid NOT NULL REFERENCES pages ON DELETE RESTRICT,
  placement_id uuid NOT NULL REFERENCES placements ON DELETE RESTRICT,
  method text NOT NULL CHECK (method IN ('inline', 'frame')),
  status text NOT NULL DEFAULT 'planned' CHECK (status IN ('planned', 'handed-over', 'pasted', 'confirmed', 'needs-a-hand', 'retired')),
  retiring boolean NOT NULL DEFAULT false,
  steps_done jsonb NOT NULL DEFAULT '[]',
  baseline jsonb,
  planned_by uuid REFERENCES users ON DELETE SET NULL, planned_at timestamptz NOT NULL DEFAULT now(),
  pasted_at timestamptz, confirmed_at timestamptz, retired_at timestamptz, checked_at timestamptz,
  last_check_id uuid
);
-- One living install of a widget in one placement of one page.
CREATE UNIQUE INDEX installs_living ON installs (widget_id, page_id, placement_id) WHERE status <> 'retired';
CREATE INDEX installs_page ON installs (page_id);
CREATE INDEX installs_placement ON installs (placement_id);
CREATE INDEX installs_status ON installs (status, planned_at DESC);
CREATE INDEX installs_newest ON installs (planned_at DESC, id);

CREATE TABLE payloads (
  install_id uuid PRIMARY KEY REFERENCES installs ON DELETE CASCADE,
  public_id text NOT NULL UNIQUE,
  release_id uuid NOT NULL REFERENCES releases ON DELETE CASCADE,
  body text NOT NULL, body_etag text NOT NULL,
  frame text NOT NULL, frame_etag text NOT NULL,
  height integer NOT NULL, computed_at timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE rounds (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  state text NOT NULL CHECK (state IN ('running', 'done', 'stopped')),
  total integer NOT NULL, started_by uuid REFERENCES users ON DELETE SET NULL,
  started_at timestamptz NOT NULL DEFAULT now(), finished_at timestamptz
);
CREATE UNIQUE INDEX rounds_one_running ON rounds (state) WHERE state = 'running';
CREATE INDEX rounds_newest ON rounds (started_at DESC);

CREATE TABLE checks (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  install_id uuid NOT NULL REFERENCES installs ON DELETE CASCADE,
  round_id uuid REFERENCES rounds ON DELETE SET NULL,
  cause text NOT NULL CHECK (cause IN ('plan', 'person', 'round', 'retire')),
  state text NOT NULL DEFAULT 'queued' CHECK (state IN ('queued', 'served', 'fresh', 'judging', 'done', 'failed', 'stopped')),
  asked_by uuid REFERENCES users ON DELETE SET NULL, asked_at timestamptz NOT NULL DEFAULT now(),
  finished_at timestamptz, status_after text, facts jsonb, problem text
);
CREATE INDEX checks_install ON checks (install_id, asked_at DESC);
CREATE INDEX checks_round ON checks (round_id, state);
ALTER TABLE installs ADD FOREIGN KEY (last_check_id) REFERENCES checks ON DELETE SET NULL DEFERRABLE INITIALLY DEFERRED;

CREATE TABLE findings (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  check_id uuid NOT NULL REFERENCES checks ON DELETE CASCADE,
  code text NOT NULL, hands text NOT NULL, position integer NOT NULL,
  title text NOT NULL, says text NOT NULL, remedy text NOT NULL,
  data jsonb NOT NULL, proof jsonb NOT NULL,
  UNIQUE (check_id, position)
);
CREATE INDEX findings_code ON findings (code);

-- The answers a check got, whole; kept for the newest checks of an install.
CREATE TABLE answers (
  check_id uuid NOT NULL REFERENCES checks ON DELETE CASCADE,
  which text NOT NULL CHECK (which IN ('served', 'fresh')),
  url text NOT NULL, final_url text NOT NULL, status integer NOT NULL, headers jsonb NOT NULL,
  html text NOT NULL, ms integer NOT NULL, at timestamptz NOT NULL, error jsonb,
  PRIMARY KEY (check_id, which)
);

CREATE TABLE activity (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  at timestamptz NOT NULL DEFAULT now(),
  user_id uuid REFERENCES users ON DELETE SET NULL,
  verb text NOT NULL,
  install_id uuid REFERENCES installs ON DELETE CASCADE,
  widget_id uuid REFERENCES widgets ON DELETE CASCADE,
  site_id uuid REFERENCES sites ON DELETE CASCADE,
  data jsonb NOT NULL DEFAULT '{}'
);
CREATE INDEX activity_newest ON activity (at DESC);
CREATE INDEX activity_install ON activity (install_id, at DESC);
`
