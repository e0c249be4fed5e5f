-- What a swatch is painted with, as text: process #rrggbb, spot #rrggbb INK, or tied SOURCE HOW.
alter table swatch add column paint text;
update swatch set paint = 'process #' || lpad(to_hex(srgb), 6, '0');
alter table swatch alter column paint set not null;
alter table swatch drop column srgb;
alter table swatch add column part text not null default '';
alter table swatch add column note text not null default '';
-- Removed swatches stay, since the log of a sheet may speak of them; undoing to one lays what took its place.
alter table swatch add column removed_at timestamptz;
alter table swatch add column replaced_by uuid references swatch;

alter table card add column kind text not null default 'CAST' check (kind in ('CAST', 'NEUTRALS', 'LOOSE'));
alter table card add column locked boolean not null default false;
alter table card add column removed_at timestamptz;
alter table card add column model_sheet_id uuid references sheet on delete set null;
update card set kind = 'NEUTRALS', locked = true where position = -1 or name = 'Neutrals';

-- The log of a palette: the cards concerned before and after, as JSON.
create table palette_change (
    id         uuid primary key,
    project_id uuid        not null references project on delete cascade,
    author_id  uuid        not null references account,
    made_at    timestamptz not null,
    words      text        not null,
    before     text        not null,
    after      text        not null,
    undone     boolean     not null default false
);
create index palette_change_by_project on palette_change (project_id, made_at desc);

-- Cells that wore a swatch when it was removed, to put it back.
create table rewear (
    change_id uuid    not null references palette_change on delete cascade,
    layer_id  uuid    not null references layer on delete cascade,
    cell      integer not null,
    swatch_id uuid    not null references swatch,
    primary key (change_id, layer_id, cell)
);

-- The cards that lie on the shore of a sheet, in their order; without rows: all.
create table open_card (
    sheet_id uuid    not null references sheet on delete cascade,
    card_id  uuid    not null references card on delete cascade,
    position integer not null,
    primary key (sheet_id, card_id)
);

-- Colours that a person has used, across projects.
create table used_colour (
    account_id uuid        not null references account on delete cascade,
    srgb       integer     not null check (srgb between 0 and 16777215),
    used_at    timestamptz not null,
    primary key (account_id, srgb)
);

-- Reference pictures, with the samples taken from them as JSON.
create table reference_picture (
    id         uuid primary key,
    project_id uuid        not null references project on delete cascade,
    title      text        not null,
    width_px   integer     not null,
    height_px  integer     not null,
    content    text        not null references plane,
    samples    text        not null default '[]',
    made_at    timestamptz not null
);
create index reference_picture_by_project on reference_picture (project_id, made_at);
