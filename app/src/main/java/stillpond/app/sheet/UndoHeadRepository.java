package stillpond.app.sheet;

import org.springframework.data.jpa.repository.JpaRepository;

interface UndoHeadRepository extends JpaRepository<UndoHead, UndoHead.Key> {}
