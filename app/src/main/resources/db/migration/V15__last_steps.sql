-- Undo and redo take back the last step of a change, which is found by the change that it concerns.
create index change_by_concerns on change (concerns, revision desc) where concerns is not null;
