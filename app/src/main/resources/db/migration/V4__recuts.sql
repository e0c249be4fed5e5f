-- A sheet's line art can be cut into cells anew; the layer as it was is kept, so that this can be undone.
alter table layer drop constraint layer_sheet_id_position_key;
alter table layer add column is_current boolean not null default true;
alter table layer alter column is_current drop default;
alter table layer add column ink_threshold integer check (ink_threshold between 1 and 255);
alter table layer add column speck_px integer check (speck_px >= 0);
alter table layer add column pencil text not null default 'NONE' check (pencil in ('NONE', 'BLUE', 'RED'));
alter table layer alter column pencil drop default;

alter table change drop constraint change_kind_check;
alter table change add constraint change_kind_check check (kind in ('FILL', 'RECUT', 'UNDO', 'REDO'));
-- for recuts: the layer whose place the new one took
alter table change add column replaced uuid references layer on delete cascade;
drop index change_by_parent;
create index change_by_parent on change (sheet_id, author_id, parent, revision) where kind not in ('UNDO', 'REDO');
