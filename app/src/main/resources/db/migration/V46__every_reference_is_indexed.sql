-- Whoever looks for what refers to a row, or takes a row away, finds it without reading the whole table.
create index layer_by_sheet on layer (sheet_id);
create index standing_by_sheet on standing (sheet_id);
create index standing_by_kept on standing (kept) where kept is not null;

create index layer_by_origin on layer (origin) where origin is not null;
create index layer_by_ink on layer (ink);
create index layer_by_cells on layer (cells);
create index layer_by_openings on layer (openings);
create index layer_by_strokes on layer (strokes) where strokes is not null;
create index layer_by_small_ink on layer (small_ink);
create index layer_by_small_cells on layer (small_cells);
create index layer_by_small_strokes on layer (small_strokes) where small_strokes is not null;
create index motif_by_content on motif (content);
create index reference_picture_by_content on reference_picture (content);
create index print_condition_by_content on print_condition (content);

create index effect_by_layer on effect (layer_id) where layer_id is not null;
create index effect_by_replaced on effect (replaced) where replaced is not null;

create index project_by_cover on project (cover_sheet_id) where cover_sheet_id is not null;
create index card_by_model_sheet on card (model_sheet_id) where model_sheet_id is not null;
create index swatch_by_project_and_card on swatch (project_id, card_id);
create index swatch_by_replaced_by on swatch (replaced_by) where replaced_by is not null;
create index open_card_by_card on open_card (card_id);
create index sheet_reference_by_picture on sheet_reference (picture_id);
create index device_job_by_sheet on device_job (sheet_id) where sheet_id is not null;
create index carry_question_by_place on carry_question (run_id, position);
create index consistency_signed_by_card on consistency_signed (card_id);
create index remark_by_standing on remark (standing_id) where standing_id is not null;
create index remark_by_swatch on remark (swatch_id) where swatch_id is not null;
create index visit_link_by_scene on visit_link (scene_id) where scene_id is not null;
