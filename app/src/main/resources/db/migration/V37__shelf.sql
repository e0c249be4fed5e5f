-- Projects that are put away stay as they are; those that are removed can be brought back.
alter table project add column archived_at timestamptz;
alter table project add column removed_at timestamptz;
