-- Findings of the check that somebody has accepted as meant.
create table accepted_finding (
    layer_id    uuid        not null references layer on delete cascade,
    finding     text        not null,
    accepted_by uuid        not null references account,
    accepted_at timestamptz not null,
    primary key (layer_id, finding)
);
