-- What a project file held that is not known here, kept so that the next file holds it again.
create table unknown_part (
    project_id uuid not null references project on delete cascade,
    place text not null,
    content bytea not null,
    primary key (project_id, place)
);
