-- The story is told from now on backwards, a day at a time.
create index change_by_time on change (project_id, made_at desc);
