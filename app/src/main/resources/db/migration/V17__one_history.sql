-- One log of everything that is done in a project, in the place of one for each sheet, one for cards and one for lights and wardrobes.
alter table change rename to sheet_change;
alter table sheet_change rename constraint change_pkey to sheet_change_pkey;
alter table sheet_change drop constraint change_sheet_id_revision_key;
drop index change_by_parent;
drop index change_by_concerns;

-- Rows are added, never altered, but for the reason, which may be given later.
create table change (
    id         uuid primary key,
    -- later rows have higher ones; on one sheet, and of one palette, rows are made one after the other
    number     bigint generated always as identity unique,
    project_id uuid        not null references project on delete cascade,
    author_id  uuid        not null references account,
    made_at    timestamptz not null,
    kind       text        not null check (kind in ('CHANGE', 'UNDO', 'REDO')),
    -- for steps: the change that is taken back or done again
    concerns   uuid references change,
    -- what was done, for people
    words      text        not null,
    -- why, in the author's words
    reason     text        not null default '',
    check ((kind = 'CHANGE') = (concerns is null))
);
create index change_by_author on change (project_id, author_id, number desc) where kind = 'CHANGE';
create index change_by_concerns on change (concerns, number desc) where concerns is not null;
create index change_by_project on change (project_id, number desc);

-- What a change did, told by before and after; which columns are used depends on the kind.
create table effect (
    change_id uuid    not null references change on delete cascade,
    position  integer not null,
    kind      text    not null
        check (kind in ('FILLED', 'DAMMED', 'RECUT', 'GROUPED', 'FRAMED', 'CAST', 'CARDS', 'STAGED')),
    -- null: about the whole project
    sheet_id  uuid references sheet on delete cascade,
    layer_id  uuid references layer on delete cascade,
    -- for recuts: the layer whose place the other took
    replaced  uuid references layer on delete cascade,
    cells     integer[] not null,
    before    text[]    not null,
    after     text[]    not null,
    primary key (change_id, position)
);
create index effect_by_sheet on effect (sheet_id, change_id) where sheet_id is not null;

-- Rows of one sheet stay in the order of its revisions, whatever the clock said.
create temporary table formerly on commit drop as
select s.project_id, c.author_id, c.id, c.kind, c.concerns, 'SHEET' as log,
       max(c.made_at) over (partition by c.sheet_id order by c.revision) as made_at, c.revision,
       case
           when c.kind = 'FILL' then 'Filled ' || cardinality(c.cells) || case cardinality(c.cells) when 1 then ' cell' else ' cells' end
           when c.kind = 'DAM' then 'Dammed or opened gaps'
           when c.kind = 'RECUT' then 'Cut the line art anew'
           when c.kind = 'UNDO' then 'Took back'
           else 'Did again'
       end as words, '' as reason
from sheet_change c join sheet s on s.id = c.sheet_id
union all
select project_id, author_id, id, 'CARDS', null, 'CARDS', made_at, 0, words, reason from palette_change
union all
select project_id, author_id, gen_random_uuid(), 'UNDO', id, 'CARDS', undone_at, 1, 'Took back: ' || words, ''
from palette_change where undone_at is not null
union all
select project_id, author_id, id, 'STAGED', null, 'STAGED', made_at, 0, words, '' from staging_change
union all
select project_id, author_id, gen_random_uuid(), 'UNDO', id, 'STAGED', undone_at, 1, 'Took back: ' || words, ''
from staging_change where undone_at is not null;

insert into change (id, project_id, author_id, made_at, kind, concerns, words, reason)
select id, project_id, author_id, made_at, case when kind in ('UNDO', 'REDO') then kind else 'CHANGE' end, concerns, words, reason
from formerly
order by made_at, revision;

insert into effect (change_id, position, kind, sheet_id, layer_id, replaced, cells, before, after)
select c.id, 0,
       case
           when c.kind = 'RECUT' or recut.id is not null then 'RECUT'
           when c.concerns_dams then 'DAMMED'
           else 'FILLED'
       end,
       c.sheet_id, c.layer_id,
       case
           when c.kind = 'RECUT' then c.replaced
           -- a step about a recut named only the layer that it brought back
           when recut.id is not null then coalesce(
               (select p.layer_id from sheet_change p
                where p.sheet_id = c.sheet_id and p.revision < c.revision order by p.revision desc limit 1),
               recut.layer_id)
       end,
       case when recut.id is null then c.cells else '{}' end,
       case when recut.id is null then c.before else '{}' end,
       case when recut.id is null then c.after else '{}' end
from sheet_change c
left join sheet_change recut on recut.id = c.concerns and recut.kind = 'RECUT';

-- What a removed swatch was worn by was kept apart from the change that removed it, for every layer that there ever was; what counts is the
-- one that stood on the sheet at that time.
insert into effect (change_id, position, kind, sheet_id, layer_id, cells, before, after)
select r.change_id, row_number() over (partition by r.change_id order by l.sheet_id, l.id), 'FILLED', l.sheet_id, l.id,
       array_agg(r.cell order by r.cell),
       array_agg(coalesce(r.made, r.swatch_id::text) order by r.cell),
       array_agg(
           case
               when r.made is null then coalesce(s.replaced_by::text, 'none')
               when s.replaced_by is not null then replace(r.made, s.id::text, s.replaced_by::text)
               when r.made like 'flat %' then 'none'
               else r.made
           end order by r.cell)
from rewear r
join palette_change p on p.id = r.change_id and p.undone_at is null
join layer l on l.id = r.layer_id
join swatch s on s.id = r.swatch_id
where l.id = coalesce(
    (select c.layer_id from sheet_change c
     where c.sheet_id = l.sheet_id and c.made_at <= p.made_at order by c.revision desc limit 1),
    (select coalesce(c.replaced, c.layer_id) from sheet_change c
     where c.sheet_id = l.sheet_id order by c.revision limit 1),
    (select o.id from layer o where o.sheet_id = l.sheet_id and o.is_current order by o.position limit 1))
group by r.change_id, l.sheet_id, l.id;

insert into effect (change_id, position, kind, cells, before, after)
select p.id, coalesce((select max(e.position) + 1 from effect e where e.change_id = p.id), 0), 'CARDS', '{}',
       array[p.before],
       array[p.after,
             coalesce(
                 (select jsonb_object_agg(s.id, s.replaced_by)::text from swatch s
                  where s.replaced_by is not null
                    and s.id in (select r.swatch_id from rewear r where r.change_id = p.id)),
                 '{}')]
from palette_change p;

insert into effect (change_id, position, kind, cells, before, after)
select f.id, 0, 'CARDS', '{}', array[p.after], array[p.before, '{}']
from formerly f join palette_change p on p.id = f.concerns and f.log = 'CARDS';

insert into effect (change_id, position, kind, cells, before, after)
select s.id, 0, 'STAGED', '{}', array[s.before], array[s.after] from staging_change s;

insert into effect (change_id, position, kind, cells, before, after)
select f.id, 0, 'STAGED', '{}', array[s.after], array[s.before]
from formerly f join staging_change s on s.id = f.concerns and f.log = 'STAGED';

drop table undo_head;
drop table rewear;
drop table sheet_change;
drop table palette_change;
drop table staging_change;
