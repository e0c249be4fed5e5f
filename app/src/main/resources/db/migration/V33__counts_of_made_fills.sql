-- An area counts once: under the swatch that is worn there alone, or under the gradient or pattern of several.
alter table layer_worn add column alone_area bigint not null default 0;

create table layer_made (
    layer_id uuid   not null references layer on delete cascade,
    -- In rising order.
    swatches uuid[] not null,
    regions  integer not null,
    area     bigint  not null,
    primary key (layer_id, swatches)
);

-- All are counted anew.
delete from layer_count;
