-- What was sent to a press or a cutter. States are those of RFC 8011, 5.3.7.
create table device_job (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    sheet_id uuid not null references sheet on delete cascade,
    author_id uuid not null,
    made_at timestamptz not null,
    device text not null check (device in ('PRESS', 'CUTTER')),
    words text not null,
    -- how, as JSON
    asked text not null,
    state text not null
        check (state in ('PENDING', 'PENDING_HELD', 'PROCESSING', 'CANCELED', 'ABORTED', 'COMPLETED')),
    -- why it was refused, or what came of it
    said text not null,
    finished_at timestamptz
);
create index device_job_by_project on device_job (project_id, made_at);

-- What was sent, and pictures of what came of it.
create table device_file (
    job_id uuid not null references device_job on delete cascade,
    name text not null,
    content bytea not null,
    primary key (job_id, name)
);

-- Inks of their own that the press is loaded with.
create table press_ink (
    project_id uuid not null references project on delete cascade,
    ink text not null,
    primary key (project_id, ink)
);
