-- The ICC profile by which the colours of a project are judged; without one, that of this machine.
create table print_condition (
    project_id uuid primary key references project on delete cascade,
    title      text not null,
    content    text not null references plane
);
