-- How cards appear on scenes and sheets: lights, wardrobes, and where each is used; see Staging in the core.
create table staged (
    project_id uuid not null references project on delete cascade,
    key        text not null,
    value      text not null,
    primary key (project_id, key)
);

-- The log of it: the entries concerned before and after, as JSON.
create table staging_change (
    id         uuid primary key,
    project_id uuid        not null references project on delete cascade,
    author_id  uuid        not null references account,
    made_at    timestamptz not null,
    words      text        not null,
    before     text        not null,
    after      text        not null,
    undone_at  timestamptz
);
create index staging_change_by_project on staging_change (project_id, made_at desc);

-- When a change was taken back, so that any moment can be shown; and why it was made.
alter table palette_change add column undone_at timestamptz;
update palette_change set undone_at = now() where undone;
alter table palette_change drop column undone;
alter table palette_change add column reason text not null default '';

-- Changes of cards that somebody asks the lead for.
create table proposal (
    id          uuid primary key,
    project_id  uuid        not null references project on delete cascade,
    author_id   uuid        not null references account,
    made_at     timestamptz not null,
    reason      text        not null,
    -- the edits as the page sent them, in JSON
    edits       text        not null,
    state       text        not null check (state in ('OPEN', 'TAKEN', 'DECLINED', 'WITHDRAWN')),
    answered_by uuid references account,
    answered_at timestamptz,
    answer      text        not null default ''
);
create index proposal_by_project on proposal (project_id, made_at desc);
