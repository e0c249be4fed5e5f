-- Openings of a layer, and what somebody has said about them. Layers analysed before have none until they are analysed again.
alter table layer add column openings text references plane;
alter table layer add column analysis_version integer not null default 0;
-- null: the level found from the openings themselves
alter table layer add column reach double precision check (reach between 0 and 1);
-- the region of each cell under the present dams, kept so that progress can be counted
alter table layer add column regions integer[];
update layer set regions = array(select generate_series(0, cell_count - 1));
alter table layer alter column regions set not null;
alter table layer alter column analysis_version drop default;

create table dam (
    layer_id uuid    not null references layer on delete cascade,
    opening  integer not null,
    state    text    not null check (state in ('SHUT', 'OPEN', 'INKED')),
    primary key (layer_id, opening)
);

-- for dams: cells holds openings, -1 standing for the reach; before and after hold their states
alter table change drop constraint change_kind_check;
alter table change add constraint change_kind_check check (kind in ('FILL', 'DAM', 'RECUT', 'UNDO', 'REDO'));
alter table change add column concerns_dams boolean not null default false;
alter table change alter column concerns_dams drop default;
