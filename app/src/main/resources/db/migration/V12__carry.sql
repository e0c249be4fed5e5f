-- What carry proposed wrongly: the likes of a region, named by one of its cells, turned out to wear something else, so many times.
create table carry_correction (
    layer_id uuid    not null references layer on delete cascade,
    cell     integer not null,
    fill     text    not null,
    times    integer not null,
    primary key (layer_id, cell, fill)
);
