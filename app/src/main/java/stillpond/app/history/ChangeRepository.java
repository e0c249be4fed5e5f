package stillpond.app.history;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ChangeRepository extends Repository<StoredChange, UUID> {

    Optional<StoredChange> findById(UUID id);

    Optional<StoredChange> findByIdAndProjectId(UUID id, UUID projectId);

    /** Changes of one palette are made one after the other: whoever holds this row makes the next one. Native, as the next: nothing but the lock is wanted. */
    @NativeQuery("select id from project where id = :project for update")
    UUID lockProject(UUID project);

    /** Sheets are locked in the order of their ids, so that nobody waits for somebody who waits for them. */
    @NativeQuery("select id from sheet where id = any(cast(:sheets as uuid[])) order by id for update")
    List<UUID> lockSheets(UUID[] sheets);

    /**
     * The latest changes of a person, and what became of them. Native, since it looks for the last step of each along an index, and only as far back as
     * anybody goes step by step.
     *
     * @param sheet those that are about it or about the whole project; null: those that are about the whole project or about who is on a sheet
     */
    @NativeQuery("""
            select c.id as change, c.number as made, coalesce(step.number, c.number) as last,
                   coalesce(step.kind, 'REDO') <> 'UNDO' as stands
            from (select id, number from change
                  where project_id = :project and author_id = :author and kind = 'CHANGE'
                  order by number desc limit :most) as c
            left join lateral (select s.number, s.kind from change s where s.concerns = c.id
                               order by s.number desc limit 1) as step on true
            where exists (
                select from effect e where e.change_id = c.id and (e.sheet_id is null
                    or case when cast(:sheet as uuid) is null then e.kind = 'CAST' else e.sheet_id = :sheet end))""")
    List<KnownRow> findKnown(UUID project, UUID author, UUID sheet, int most);

    /** One row of {@link #findKnown}. */
    interface KnownRow {
        UUID getChange();

        long getMade();

        long getLast();

        boolean getStands();
    }

    /** Of each change the last row that did it or took it back: its own, or that of its newest step. Native for the order by change, of which one row is kept. */
    @NativeQuery("""
            select distinct on (coalesce(concerns, id)) * from change
            where id = any(cast(:changes as uuid[])) or concerns = any(cast(:changes as uuid[]))
            order by coalesce(concerns, id), number desc""")
    List<StoredChange> findLastSteps(UUID[] changes);

    /** Latest first. */
    @Query("""
            select c from StoredChange c
            where c.projectId = :project and exists (
                select 1 from StoredEffect e where e.change = c and (e.row.sheetId = :sheet or e.row.sheetId is null))
            order by c.number desc""")
    List<StoredChange> findAbout(UUID project, UUID sheet, Limit most);

    /** What was asked for, latest first, not the steps back and forth. */
    @Query("""
            select c from StoredChange c
            where c.projectId = :project and c.kind = 'CHANGE' and exists (
                select 1 from StoredEffect e where e.change = c and e.row.kind = 'CARDS')
            order by c.number desc""")
    List<StoredChange> findOfCards(UUID project, Limit most);

    /** Those about a sheet that were made after a moment, latest first. */
    @Query("""
            select e from StoredEffect e join fetch e.change c
            where e.row.sheetId = :sheet and c.madeAt > :moment
            order by c.number desc, e.key.position desc""")
    List<StoredEffect> findOfSheetSince(UUID sheet, Instant moment, Limit most);

    /** Which of some cuttings stood at a moment: what was done on cells names the one that stood after it. */
    @Query("""
            select e.row.layerId from StoredEffect e join e.change c
            where e.row.layerId in :cuttings and c.madeAt <= :moment
              and e.row.kind in ('FILLED', 'DAMMED', 'RECUT', 'SHADED')
            order by c.number desc, e.key.position desc""")
    List<UUID> findStanding(Collection<UUID> cuttings, Instant moment, Limit most);

    /** Those about the whole project that were made after a moment, latest first. */
    @Query("""
            select e from StoredEffect e join fetch e.change c
            where c.projectId = :project and e.row.sheetId is null and c.madeAt > :moment
            order by c.number desc, e.key.position desc""")
    List<StoredEffect> findOfProjectSince(UUID project, Instant moment, Limit most);

    @Query("select c from StoredChange c where c.projectId = :project and c.number > :after order by c.number")
    List<StoredChange> findStretch(UUID project, long after, Limit most);

    /** What the cuts of a layer on record left, the last first. */
    @Query("""
            select e.row.layerId from StoredEffect e join e.change c
            where e.row.sheetId = :sheet and e.row.kind = 'RECUT' and e.row.layerId in :cuttings
            order by c.number desc, e.key.position desc""")
    List<UUID> findCuts(UUID sheet, Collection<UUID> cuttings, Limit most);
}
