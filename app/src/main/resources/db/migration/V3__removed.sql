-- What is removed is only put aside, and can be brought back.
alter table sheet add column removed_at timestamptz;
alter table scene add column removed_at timestamptz;
create index layer_by_source on layer (source);
