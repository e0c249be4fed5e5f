-- Work in the background, as db-scheduler keeps it.
create table scheduled_tasks (
    task_name text not null,
    task_instance text not null,
    task_data bytea,
    execution_time timestamptz not null,
    picked boolean not null,
    picked_by text,
    last_success timestamptz,
    last_failure timestamptz,
    consecutive_failures int,
    last_heartbeat timestamptz,
    version bigint not null,
    priority smallint,
    primary key (task_name, task_instance)
);
create index scheduled_tasks_by_time on scheduled_tasks (execution_time);
create index scheduled_tasks_by_heartbeat on scheduled_tasks (last_heartbeat);

-- Several sheets, handed on at once in several forms.
create table handed_job (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    author_id uuid not null,
    made_at timestamptz not null,
    words text not null,
    cancelled_at timestamptz,
    finished_at timestamptz
);
create index handed_job_by_project on handed_job (project_id, made_at);

-- One file of such a job.
create table handed_file (
    job_id uuid not null references handed_job on delete cascade,
    position integer not null,
    sheet_id uuid not null references sheet on delete cascade,
    form text not null,
    name text not null,
    -- How the sheet looked when it was written, as a hash.
    looked text not null,
    state text not null check (state in ('WAITING', 'WRITTEN', 'FAILED')),
    said text not null,
    primary key (job_id, position)
);
create index handed_file_by_sheet on handed_file (sheet_id);

create table handed_content (
    job_id uuid not null,
    position integer not null,
    content bytea not null,
    primary key (job_id, position),
    foreign key (job_id, position) references handed_file on delete cascade
);
