-- What somebody has changed about the keys of the desk.
create table own_keys (
    account_id uuid primary key references account on delete cascade,
    letters    boolean not null
);

create table own_key (
    account_id uuid not null references own_keys on delete cascade,
    command    varchar(40) not null,
    pressed    varchar(20) not null,
    primary key (account_id, command)
);
