-- What somebody waits for does not wait for what takes minutes.
create table scheduled_prompt_tasks (like scheduled_tasks including all);
