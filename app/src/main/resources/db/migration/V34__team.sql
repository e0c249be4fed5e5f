-- Whoever has an address can be sent the link with which a password that was forgotten is made anew.
alter table account add column email text unique;

-- A guest only looks.
alter table member drop constraint member_role_check;
alter table member add constraint member_role_check check (role in ('GUEST', 'COLOURIST', 'LEAD'));

-- Who is no member any more: what still waits in their browsers is refused by name.
create table former_member (
    project_id uuid not null references project on delete cascade,
    account_id uuid not null references account on delete cascade,
    primary key (project_id, account_id)
);

-- Links are kept as their hash: whoever reads the table cannot use them.
create table password_reset (
    code_hash  text primary key,
    account_id uuid        not null references account on delete cascade,
    ends_at    timestamptz not null,
    used_at    timestamptz
);

create table invitation (
    id           uuid primary key,
    code_hash    text        not null unique,
    -- null: to an account alone, the first one of an installation
    project_id   uuid references project on delete cascade,
    role         text check (role in ('GUEST', 'COLOURIST', 'LEAD')),
    sent_to      text        not null,
    invited_by   uuid references account on delete set null,
    made_at      timestamptz not null,
    ends_at      timestamptz not null,
    used_at      timestamptz,
    used_by      uuid references account on delete set null,
    withdrawn_at timestamptz,
    check ((project_id is null) = (role is null))
);
create index invitation_by_project on invitation (project_id, made_at desc);

-- What the stand-in for a mail server was given.
create table kept_letter (
    id      uuid primary key,
    sent_to text        not null,
    subject text        not null,
    body    text        not null,
    sent_at timestamptz not null
);

-- Sign-ins and changes of who gets in; rows are only added.
create table audit (
    number     bigint generated always as identity primary key,
    at         timestamptz not null,
    -- without references: what was noted stays when its person or project goes
    account_id uuid,
    project_id uuid,
    kind       text not null,
    words      text not null
);
create index audit_by_account on audit (account_id, number desc);
create index audit_by_project on audit (project_id, number desc);

create function refuse_change_of_audit() returns trigger language plpgsql as $$
begin
    raise exception 'rows of the audit log are only added';
end $$;
create trigger audit_is_only_added_to before update or delete on audit
    for each row execute function refuse_change_of_audit();
