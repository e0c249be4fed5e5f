-- A swatch belongs to the project of its card, and the database itself keeps palettes apart.
alter table card add constraint card_of_project unique (project_id, id);
alter table swatch add column project_id uuid;
update swatch set project_id = card.project_id from card where card.id = swatch.card_id;
alter table swatch alter column project_id set not null;
alter table swatch add constraint swatch_on_a_card_of_its_project
    foreign key (project_id, card_id) references card (project_id, id) on delete cascade;
