package stillpond.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.NativeQuery;

interface ChangeRepository extends JpaRepository<StoredChange, UUID> {

    @NativeQuery("""
            select * from change
            where sheet_id = :sheet and author_id = :author and kind not in ('UNDO', 'REDO')
              and parent is not distinct from cast(:parent as uuid)
            order by revision desc
            limit 1""")
    Optional<StoredChange> findNewestChild(UUID sheet, UUID author, UUID parent);

    List<StoredChange> findBySheetIdOrderByRevision(UUID sheetId);

    /** The change named and those before it on its line, newest first. */
    @NativeQuery("""
            with recursive line as (
                select c.*, 1 as step from change c where c.id = :head
                union all
                select c.*, line.step + 1 from change c join line on c.id = line.parent where line.step < :most
            )
            select id, sheet_id, layer_id, revision, author_id, made_at, kind, concerns, parent, cells, before, after, replaced, concerns_dams
            from line order by step""")
    List<StoredChange> findLine(UUID head, int most);

    /** Of each change the last row that did it or took it back: its own, or that of its newest undo or redo. */
    @NativeQuery("""
            select distinct on (coalesce(concerns, id)) *
            from change
            where id = any(cast(:changes as uuid[])) or concerns = any(cast(:changes as uuid[]))
            order by coalesce(concerns, id), revision desc""")
    List<StoredChange> findLastSteps(UUID[] changes);
}
