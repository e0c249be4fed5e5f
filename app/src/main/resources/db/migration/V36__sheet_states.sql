-- How far somebody says that a sheet is, and who has it in hand.
alter table sheet add column state text not null default 'TO_DO' check (state in ('TO_DO', 'IN_WORK', 'TO_LOOK_AT', 'DONE'));
alter table sheet add column in_hand_of uuid references account on delete set null;
