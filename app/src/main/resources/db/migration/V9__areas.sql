-- The area of each cell in pixels, so that shares are told without its planes; null for layers analysed before.
alter table layer add column areas integer[];
