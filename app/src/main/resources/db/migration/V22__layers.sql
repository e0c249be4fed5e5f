-- A sheet has several layers. A row of "layer" is one cutting of a layer into cells; how the layer stands in its sheet stays when it is cut anew.
create table standing (
    id uuid primary key,
    sheet_id uuid not null references sheet on delete cascade,
    -- 0 is the front
    position integer not null,
    name text not null check (length(name) between 1 and 80),
    is_hidden boolean not null,
    is_locked boolean not null,
    opacity_percent integer not null check (opacity_percent between 5 and 100),
    x_px integer not null,
    y_px integer not null,
    -- Of a layer that was taken out of its sheet: its cutting of then.
    kept uuid references layer on delete set null
);

insert into standing (id, sheet_id, position, name, is_hidden, is_locked, opacity_percent, x_px, y_px)
select gen_random_uuid(), sheet_id, position, 'Line art', false, false, 100, 0, 0
from (select distinct sheet_id, position from layer) as each_layer;

alter table layer add column standing_id uuid references standing;
update layer l set standing_id = s.id from standing s where s.sheet_id = l.sheet_id and s.position = l.position;
alter table layer alter column standing_id set not null;
alter table layer drop column position;
create index layer_by_standing on layer (standing_id);

-- The file whose page it lies on: a layer that was split off has a file of its own, but its pixels lie where they lay.
alter table layer add column origin text references plane;
update layer set origin = source;
alter table layer alter column origin set not null;

-- Whether its cells are bounded by the ink of all layers that are shown.
alter table layer add column is_through boolean not null default false;
alter table layer alter column is_through drop default;

alter table effect drop constraint effect_kind_check;
alter table effect add constraint effect_kind_check
    check (kind in ('FILLED', 'DAMMED', 'RECUT', 'GROUPED', 'SHADED', 'STACKED', 'FRAMED', 'MET', 'CAST', 'CARDS', 'STAGED'));
