-- Shadows and rims of a layer. What swatch each wears is in cell_fill, by the numbers from -2^30 down.
create table shadow (
    layer_id uuid not null references layer on delete cascade,
    number integer not null,
    rank double precision not null,
    name text not null,
    base text not null,
    form text not null,
    mode text not null,
    darker integer not null,
    strength integer not null check (strength between 0 and 100),
    edge_px double precision not null,
    primary key (layer_id, number)
);

alter table effect drop constraint effect_kind_check;
alter table effect add constraint effect_kind_check
    check (kind in ('FILLED', 'DAMMED', 'RECUT', 'GROUPED', 'SHADED', 'FRAMED', 'MET', 'CAST', 'CARDS', 'STAGED'));
