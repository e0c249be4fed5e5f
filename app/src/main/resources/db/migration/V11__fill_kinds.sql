-- Fills that are not one opaque swatch: gradients, patterns, and whatever the paper shows through. docs/formats.md describes the text.
alter table cell_fill alter column swatch_id drop not null;
alter table cell_fill add column made text;
alter table cell_fill add constraint cell_fill_is_one check ((swatch_id is null) <> (made is null));
create index cell_fill_made on cell_fill (layer_id) where made is not null;

-- Every swatch that a cell takes a colour from.
create view cell_wears as
select layer_id, cell, swatch_id from cell_fill where swatch_id is not null
union all
select f.layer_id, f.cell, named.swatch_id
from cell_fill f
cross join lateral (
    select distinct cast(found[1] as uuid) as swatch_id
    from regexp_matches(f.made, '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}', 'g') as found) as named
where f.made is not null;

alter table rewear add column made text;

-- Motifs of patterns that somebody brought.
create table motif (
    id         uuid primary key,
    project_id uuid        not null references project on delete cascade,
    title      text        not null,
    -- the SVG of one repeat
    content    text        not null references plane,
    made_at    timestamptz not null
);
create index motif_by_project on motif (project_id, made_at);

-- The part of a sheet that is the page, in pixels; beside it lies scrap. Sheets without one are page all over.
create table page_frame (
    sheet_id        uuid primary key references sheet on delete cascade,
    x_start         integer not null,
    y_start         integer not null,
    x_end_exclusive integer not null check (x_end_exclusive > x_start),
    y_end_exclusive integer not null check (y_end_exclusive > y_start)
);
