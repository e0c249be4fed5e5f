-- What somebody says about a place of a sheet, or about a swatch.
create table remark (
    id          uuid primary key,
    project_id  uuid        not null references project on delete cascade,
    sheet_id    uuid references sheet on delete cascade,
    -- the layer that is meant
    standing_id uuid references standing on delete cascade,
    -- on the page of the sheet, in its pixels
    x_px        integer,
    y_px        integer,
    swatch_id   uuid references swatch on delete cascade,
    author_id   uuid        not null references account,
    made_at     timestamptz not null,
    body        text        not null,
    done_at     timestamptz,
    done_by     uuid references account,
    check ((sheet_id is null) <> (swatch_id is null)),
    check ((sheet_id is null) = (standing_id is null)),
    check ((sheet_id is null) = (x_px is null) and (x_px is null) = (y_px is null)),
    check ((done_at is null) = (done_by is null))
);
create index remark_by_project on remark (project_id, made_at);
create index remark_by_sheet on remark (sheet_id) where sheet_id is not null;

create table remark_answer (
    id        uuid primary key,
    remark_id uuid        not null references remark on delete cascade,
    author_id uuid        not null references account,
    made_at   timestamptz not null,
    body      text        not null
);
create index remark_answer_by_remark on remark_answer (remark_id, made_at);
