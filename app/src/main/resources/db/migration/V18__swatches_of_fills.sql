-- Which swatches a fill that is more than one opaque swatch takes its colours from, so that no text has to be searched for them.
create table fill_swatch (
    fill      text not null,
    swatch_id uuid not null references swatch,
    primary key (fill, swatch_id)
);
create index fill_swatch_by_swatch on fill_swatch (swatch_id);

-- The only time that they are found in the text itself.
insert into fill_swatch (fill, swatch_id)
select distinct f.made, cast(found[1] as uuid)
from (select distinct made from cell_fill where made is not null) as f
cross join lateral regexp_matches(
    f.made, '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}', 'g') as found;

drop index cell_fill_made;
create index cell_fill_made on cell_fill (made) where made is not null;

-- Every swatch that a cell takes a colour from.
create or replace view cell_wears as
select layer_id, cell, swatch_id from cell_fill where swatch_id is not null
union all
select f.layer_id, f.cell, named.swatch_id
from cell_fill f join fill_swatch named on named.fill = f.made
where f.made is not null;
