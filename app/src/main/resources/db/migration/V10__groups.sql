-- Cells of a layer that are handled as one; position 0 is the front.
create table cell_group (
    layer_id  uuid      not null references layer on delete cascade,
    id        uuid      not null,
    name      text      not null,
    position  integer   not null,
    is_hidden boolean   not null,
    is_locked boolean   not null,
    cells     integer[] not null,
    primary key (layer_id, id)
);
