-- Since when a plane is asked for: what nothing names any more is cleared some time later.
alter table plane add column kept_at timestamptz not null default now();

-- The sheet that stands for a project on the shelf; null: those that are furthest do.
alter table project add column cover_sheet_id uuid references sheet on delete set null;
