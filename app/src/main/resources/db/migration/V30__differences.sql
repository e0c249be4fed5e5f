-- Regions that wear something else than their likes on other sheets, as they were when the sheet had been quiet for a while.
create table sheet_difference (
    layer_id uuid not null references layer on delete cascade,
    key text not null,
    cells integer[] not null,
    -- What its likes wear, and the titles of the sheets that they are on, one in a line.
    fill text not null,
    sheets text not null,
    primary key (layer_id, key)
);
