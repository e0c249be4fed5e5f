-- A link with which anybody looks at a project, or at one scene of it, until it ends. Kept as its hash: whoever reads the table cannot use it.
create table visit_link (
    id           uuid primary key,
    code_hash    text        not null unique,
    project_id   uuid        not null references project on delete cascade,
    -- null: all scenes
    scene_id     uuid references scene on delete cascade,
    made_by      uuid references account on delete set null,
    made_at      timestamptz not null,
    ends_at      timestamptz not null,
    withdrawn_at timestamptz
);
create index visit_link_by_project on visit_link (project_id, made_at desc);
