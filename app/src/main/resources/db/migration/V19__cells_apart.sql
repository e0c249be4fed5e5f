-- What is known of each cell is long and seldom asked for: apart from the layer, which is read with every fill.
create table layer_cells (
    -- written before its layer
    layer_id uuid primary key references layer on delete cascade deferrable initially deferred,
    regions  integer[] not null,
    areas    integer[]
);
insert into layer_cells (layer_id, regions, areas) select id, regions, areas from layer;

-- How many regions there are under the present dams.
alter table layer add column region_count integer;
update layer set region_count = coalesce((select max(region) + 1 from unnest(regions) as region), 0);
alter table layer alter column region_count set not null;
alter table layer drop column regions;
alter table layer drop column areas;
