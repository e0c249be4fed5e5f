-- Fills carried onto many sheets in the background.
create table carry_run (
    id uuid primary key,
    project_id uuid not null references project on delete cascade,
    author_id uuid not null,
    made_at timestamptz not null,
    words text not null,
    -- Sheets that are carried from.
    sources uuid[] not null,
    -- Whether a sheet, once carried onto, serves those of its scene that come after it.
    is_chained boolean not null,
    state text not null check (state in ('RUNNING', 'PAUSED', 'CANCELLED', 'DONE')),
    -- What could not be carried from, and why.
    said text not null
);
create index carry_run_by_project on carry_run (project_id, made_at);

create table carry_run_sheet (
    run_id uuid not null references carry_run on delete cascade,
    position integer not null,
    sheet_id uuid not null references sheet on delete cascade,
    state text not null check (state in ('WAITING', 'DONE', 'FAILED', 'TAKEN_BACK')),
    regions integer not null,
    strokes integer not null,
    shadows integer not null,
    -- More regions were in doubt than are asked about.
    unasked integer not null,
    said text not null,
    -- What was laid, as changes of the history.
    changes uuid[] not null,
    primary key (run_id, position)
);
create index carry_run_sheet_by_sheet on carry_run_sheet (sheet_id);

-- A region of which it is not sure what it wears.
create table carry_question (
    id uuid primary key,
    run_id uuid not null,
    position integer not null,
    layer_id uuid not null,
    cells integer[] not null,
    -- Where it is seen, as shares of the width and height of the sheet.
    x double precision not null,
    y double precision not null,
    box_left double precision not null,
    box_top double precision not null,
    box_width double precision not null,
    box_height double precision not null,
    -- Its area as a share of the sheet.
    area double precision not null,
    -- The fill that it most likely wears, and how likely that is: regions of the same one are asked about together.
    part text not null,
    likely double precision not null,
    state text not null check (state in ('OPEN', 'TAKEN', 'LEFT', 'GONE')),
    -- Several are answered at once.
    answer_id uuid,
    answered_by uuid,
    answered_at timestamptz,
    change_id uuid,
    foreign key (run_id, position) references carry_run_sheet on delete cascade
);
create index carry_question_by_run on carry_question (run_id, state, part);

create table carry_choice (
    question_id uuid not null references carry_question on delete cascade,
    place integer not null,
    fill text not null,
    share double precision not null,
    sheet_id uuid not null,
    layer_id uuid not null,
    cell integer not null,
    x double precision not null,
    y double precision not null,
    primary key (question_id, place)
);
