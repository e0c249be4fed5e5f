package stillpond.app.live;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import stillpond.app.history.Happened;

/** Says within a transaction what its commit will have changed. */
@Component
class Announcements {

    private final LiveWire wire;

    Announcements(LiveWire wire) {
        this.wire = wire;
    }

    @TransactionalEventListener(phase = TransactionPhase.BEFORE_COMMIT)
    void on(Happened happened) {
        UUID change = happened.change().orElse(null);
        UUID author = happened.author().orElse(null);
        UUID page = FromPage.id().orElse(null);
        LiveMessage message = happened.sheet()
                .<LiveMessage>map(sheet -> new LiveMessage.SheetChanged(sheet, happened.part(), change, author, page))
                .orElseGet(() -> new LiveMessage.PaletteChanged(change, author, page));
        wire.announce(happened.project(), message);
    }
}
