package stillpond.app.palette;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface CardRepository extends Repository<StoredCard, UUID> {

    @EntityGraph(attributePaths = "swatches")
    List<StoredCard> findByProjectIdOrderByPosition(UUID projectId);

    /** Changes of one palette are made one after the other: whoever holds this row makes the next one. */
    @NativeQuery("select id from project where id = :project for update")
    UUID lock(UUID project);

    /** @return 0 if another project has a card with this id; then nothing is written */
    @Modifying(clearAutomatically = true)
    @NativeQuery("""
            insert into card (id, project_id, name, subject, kind, locked, position)
            values (:id, :project, :name, :subject, :kind, :locked, :position)
            on conflict (id) do update set name = excluded.name, subject = excluded.subject, locked = excluded.locked,
                position = excluded.position, removed_at = null
                where card.project_id = excluded.project_id""")
    int write(UUID id, UUID project, String name, String subject, String kind, boolean locked, int position);

    @Modifying(clearAutomatically = true)
    @NativeQuery("update card set removed_at = now() where id = :id and project_id = :project")
    void remove(UUID project, UUID id);

    /** @return 0 if another project has a swatch with this id; then nothing is written */
    @Modifying(clearAutomatically = true)
    @NativeQuery("""
            insert into swatch (id, project_id, card_id, name, part, note, paint, position)
            values (:id, :project, :card, :name, :part, :note, :paint, :position)
            on conflict (id) do update set card_id = excluded.card_id, name = excluded.name, part = excluded.part,
                note = excluded.note, paint = excluded.paint, position = excluded.position, removed_at = null,
                replaced_by = null
                where swatch.project_id = excluded.project_id""")
    int writeSwatch(
            UUID id, UUID project, UUID card, String name, String part, String note, String paint, int position);

    @Modifying(clearAutomatically = true)
    @NativeQuery("update swatch set removed_at = now() where id = :id and project_id = :project")
    void removeSwatch(UUID project, UUID id);
}
