-- How much of each layer wears each swatch, and how many of its regions are filled: kept, so that a page about a whole book need not read every cell of it.
-- Whatever changes the fills or the regions of a layer raises its version; what was counted at another version is counted anew when it is asked for.
create table layer_version (
    layer_id uuid primary key references layer on delete cascade,
    version  bigint not null
);

create table layer_count (
    layer_id uuid primary key references layer on delete cascade,
    version  bigint not null,
    filled   integer not null
);

create table layer_worn (
    layer_id  uuid not null references layer on delete cascade,
    swatch_id uuid not null,
    regions   integer not null,
    area      bigint not null,
    strokes   integer not null,
    shadows   integer not null,
    primary key (layer_id, swatch_id)
);

-- A layer that is just being removed, or is not there yet, has no version to raise.
create function raise_layer_version() returns trigger language plpgsql as $$
begin
    insert into layer_version (layer_id, version)
    select distinct c.layer_id, 1 from changed c where exists (select 1 from layer l where l.id = c.layer_id)
    on conflict (layer_id) do update set version = layer_version.version + 1;
    return null;
end $$;

create trigger fills_laid after insert on cell_fill referencing new table as changed
    for each statement execute function raise_layer_version();
create trigger fills_changed after update on cell_fill referencing new table as changed
    for each statement execute function raise_layer_version();
create trigger fills_cleared after delete on cell_fill referencing old table as changed
    for each statement execute function raise_layer_version();
create trigger regions_changed after update on layer_cells referencing new table as changed
    for each statement execute function raise_layer_version();
