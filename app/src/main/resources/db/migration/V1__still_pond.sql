create table account (
    id            uuid primary key,
    sign_in_name  text not null unique,
    display_name  text not null,
    password_hash text not null
);

create table project (
    id      uuid primary key,
    title   text        not null,
    made_at timestamptz not null
);

create table member (
    project_id uuid not null references project on delete cascade,
    account_id uuid not null references account on delete cascade,
    role       text not null check (role in ('COLOURIST', 'LEAD')),
    primary key (project_id, account_id)
);
create index member_by_account on member (account_id);

create table scene (
    id         uuid primary key,
    project_id uuid    not null references project on delete cascade,
    title      text    not null,
    position   integer not null
);
create index scene_by_project on scene (project_id, position);

create table card (
    id         uuid primary key,
    project_id uuid    not null references project on delete cascade,
    name       text    not null,
    subject    text    not null,
    position   integer not null
);
create index card_by_project on card (project_id, position);

create table swatch (
    id       uuid primary key,
    card_id  uuid    not null references card on delete cascade,
    name     text    not null,
    -- sRGB packed as 0xRRGGBB
    srgb     integer not null check (srgb between 0 and 16777215),
    position integer not null
);
create index swatch_by_card on swatch (card_id, position);

-- What never changes once it is there, known by the hash of its content.
create table plane (
    sha256  text primary key check (length(sha256) = 64),
    content bytea not null
);
alter table plane alter column content set storage external;

create table sheet (
    id         uuid primary key,
    project_id uuid        not null references project on delete cascade,
    scene_id   uuid        not null references scene on delete cascade,
    title      text        not null,
    position   integer     not null,
    -- counts the changes made to the sheet
    revision   bigint      not null,
    made_at    timestamptz not null
);
create index sheet_by_scene on sheet (scene_id, position);
create index sheet_by_project on sheet (project_id);

create table layer (
    id           uuid primary key,
    sheet_id     uuid    not null references sheet on delete cascade,
    -- 0 is the front
    position     integer not null,
    width_px     integer not null,
    height_px    integer not null,
    cell_count   integer not null,
    source       text    not null references plane,
    ink          text    not null references plane,
    cells        text    not null references plane,
    small_ink    text    not null references plane,
    small_cells  text    not null references plane,
    unique (sheet_id, position)
);

-- What each cell wears now; a cell without a row wears nothing.
create table cell_fill (
    layer_id  uuid    not null references layer on delete cascade,
    cell      integer not null,
    swatch_id uuid    not null references swatch,
    primary key (layer_id, cell)
);
create index cell_fill_by_swatch on cell_fill (swatch_id);

-- The log of a sheet: rows are added, never altered.
create table change (
    id        uuid primary key,
    sheet_id  uuid        not null references sheet on delete cascade,
    layer_id  uuid        not null references layer on delete cascade,
    revision  bigint      not null,
    author_id uuid        not null references account,
    made_at   timestamptz not null,
    kind      text        not null check (kind in ('FILL', 'UNDO', 'REDO')),
    -- for undo and redo: the fill taken back or done again
    concerns  uuid references change,
    -- for fills: the author's latest change when it was made
    parent    uuid references change,
    cells     integer[]   not null,
    before    text[]      not null,
    after     text[]      not null,
    unique (sheet_id, revision)
);
create index change_by_parent on change (sheet_id, author_id, parent, revision) where kind = 'FILL';

-- The change that undo takes back next, for each person on each sheet.
create table undo_head (
    sheet_id  uuid not null references sheet on delete cascade,
    author_id uuid not null references account on delete cascade,
    change_id uuid references change on delete cascade,
    primary key (sheet_id, author_id)
);

-- Spring Session's own tables.
create table spring_session (
    primary_id            char(36) not null primary key,
    session_id            char(36) not null unique,
    creation_time         bigint   not null,
    last_access_time      bigint   not null,
    max_inactive_interval integer  not null,
    expiry_time           bigint   not null,
    principal_name        varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36)     not null references spring_session on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    bytea        not null,
    primary key (session_primary_id, attribute_name)
);
