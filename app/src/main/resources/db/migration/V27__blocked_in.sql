-- A layer that is made of shapes instead of line art: its source is the text of the shapes.
alter table layer add column is_blocked_in boolean not null default false;
alter table layer alter column is_blocked_in drop default;

-- The reference picture that lies on a sheet while somebody works on it.
create table sheet_reference (
    sheet_id uuid primary key references sheet on delete cascade,
    picture_id uuid not null references reference_picture on delete cascade,
    x double precision not null,
    y double precision not null,
    scale double precision not null check (scale between 0.01 and 100),
    degrees double precision not null,
    strength_percent integer not null check (strength_percent between 5 and 100),
    look text not null check (look in ('COLOURS', 'GREYS', 'VALUES')),
    value_count integer not null check (value_count between 2 and 8),
    is_hidden boolean not null
);

alter table effect drop constraint effect_kind_check;
alter table effect add constraint effect_kind_check
    check (kind in ('FILLED', 'DAMMED', 'RECUT', 'GROUPED', 'SHADED', 'STACKED', 'FRAMED', 'MET', 'CAST', 'CARDS', 'STAGED', 'REFERENCED'));
