-- What was handed on by whom and when; the jobs themselves, with their files, are dropped after a while.
create table handed_note (
    job_id     uuid primary key,
    project_id uuid        not null references project on delete cascade,
    author_id  uuid        not null,
    made_at    timestamptz not null,
    words      text        not null
);
create index handed_note_by_project on handed_note (project_id, made_at desc);
insert into handed_note (job_id, project_id, author_id, made_at, words)
select id, project_id, author_id, made_at, words from handed_job;
