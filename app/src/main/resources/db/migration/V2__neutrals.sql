-- Every project has a card of plain neutrals before all others; those started earlier get theirs here.
with started as (
    select id as project_id, gen_random_uuid() as card_id from project
), cards as (
    insert into card (id, project_id, name, subject, position)
    select card_id, project_id, 'Neutrals', '', -1 from started
    returning id
)
insert into swatch (id, card_id, name, srgb, position)
select gen_random_uuid(), cards.id, neutral.name, neutral.srgb, neutral.position
from cards
cross join (values ('White', 16777215, 0), ('Grey', 8421504, 1), ('Black', 0, 2)) as neutral (name, srgb, position);
