-- The ink of a layer cut into strokes, which wear fills as cells do: in cell_fill, by the numbers from -1 down. Null until the layer is analysed with them.
alter table layer add column strokes text references plane;
alter table layer add column small_strokes text references plane;
alter table layer add column stroke_count integer;
alter table layer add column stroke_px double precision;

-- What happens where two colours of ink meet.
alter table sheet add column line_meeting text not null default 'SOFT' check (line_meeting in ('SOFT', 'HARD'));

alter table effect drop constraint effect_kind_check;
alter table effect add constraint effect_kind_check
    check (kind in ('FILLED', 'DAMMED', 'RECUT', 'GROUPED', 'FRAMED', 'MET', 'CAST', 'CARDS', 'STAGED'));
