-- What stands out about a part on a sheet, and was accepted as meant.
create table part_accepted (
    sheet_id uuid not null references sheet on delete cascade,
    swatch_id uuid not null,
    mark text not null,
    accepted_by uuid not null,
    accepted_at timestamptz not null,
    why text not null,
    primary key (sheet_id, swatch_id, mark)
);

-- Whoever signs that parts are the same everywhere; what was signed as a hash.
create table consistency_signed (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    -- The card whose parts were signed; null for all.
    card_id uuid references card on delete cascade,
    signed_by uuid not null,
    signed_at timestamptz not null,
    content text not null
);
create index consistency_signed_by_project on consistency_signed (project_id, signed_at);
