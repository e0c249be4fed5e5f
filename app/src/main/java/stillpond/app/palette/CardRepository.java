package stillpond.app.palette;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

/** What is written is native: cards and swatches are put in or changed by one statement that also sees to it that they are the project's own. */
interface CardRepository extends Repository<StoredCard, UUID> {

    @EntityGraph(attributePaths = "swatches")
    List<StoredCard> findByProjectIdOrderByPosition(UUID projectId);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("update card set model_sheet_id = :sheet where id = :card and project_id = :project")
    void setModel(UUID project, UUID card, UUID sheet);

    /** @return 0 if another project has a card with this id; then nothing is written */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into card (id, project_id, name, subject, kind, locked, position)
            values (:id, :project, :name, :subject, :kind, :locked, :position)
            on conflict (id) do update set name = excluded.name, subject = excluded.subject, locked = excluded.locked,
                position = excluded.position, removed_at = null
                where card.project_id = excluded.project_id""")
    int write(UUID id, UUID project, String name, String subject, String kind, boolean locked, int position);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("update card set removed_at = now() where id = :id and project_id = :project")
    void remove(UUID project, UUID id);

    /** @return 0 if another project has a swatch with this id; then nothing is written */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            insert into swatch (id, project_id, card_id, name, part, note, paint, position)
            values (:id, :project, :card, :name, :part, :note, :paint, :position)
            on conflict (id) do update set card_id = excluded.card_id, name = excluded.name, part = excluded.part,
                note = excluded.note, paint = excluded.paint, position = excluded.position, removed_at = null,
                replaced_by = null
                where swatch.project_id = excluded.project_id""")
    int writeSwatch(
            UUID id, UUID project, UUID card, String name, String part, String note, String paint, int position);

    /**
     * Puts a swatch aside.
     *
     * @param instead what is worn in its place, and in the place of those that it was worn instead of; null: nothing
     */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @NativeQuery("""
            update swatch set
                removed_at = case when id = :id then now() else removed_at end,
                replaced_by = cast(:instead as uuid)
            where project_id = :project and (id = :id or replaced_by = :id)""")
    void removeSwatch(UUID project, UUID id, UUID instead);
}
