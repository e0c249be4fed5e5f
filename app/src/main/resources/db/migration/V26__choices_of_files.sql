-- How the files of a job are written.
alter table handed_job add column arrangement text not null default 'PART';
alter table handed_job add column light text not null default 'own';
alter table handed_job alter column arrangement drop default;
alter table handed_job alter column light drop default;
