/** Swaps for a time: what stands in an install from one moment to another. What stood there before comes back. */
export const plannedSwaps = {
  name: '0025-planned-swaps',
  sql: `
CREATE TABLE planned_swaps (
  id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
  install_id uuid NOT NULL REFERENCES installs (id) ON DELETE CASCADE,
  widget_id uuid NOT NULL REFERENCES widgets (id) ON DELETE CASCADE,
  from_at timestamptz NOT NULL,
  until_at timestamptz,
  back_to uuid,
  state text NOT NULL DEFAULT 'planned',
  problem text,
  planned_by uuid REFERENCES users (id) ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  CHECK (until_at IS NULL OR until_at > from_at)
);
CREATE INDEX planned_swaps_install ON planned_swaps (install_id);
CREATE INDEX planned_swaps_widget ON planned_swaps (widget_id);
CREATE INDEX planned_swaps_by ON planned_swaps (planned_by);
CREATE INDEX planned_swaps_due ON planned_swaps (from_at) WHERE state IN ('planned', 'on');
`,
}
