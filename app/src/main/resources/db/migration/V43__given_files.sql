-- A single file that somebody took is told as well as what is written in the background: of one sheet, or of none.
alter table handed_note rename column job_id to id;
alter table handed_note add column sheet_id uuid references sheet on delete cascade;
create index handed_note_by_sheet on handed_note (sheet_id);
