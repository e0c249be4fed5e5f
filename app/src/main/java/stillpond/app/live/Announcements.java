package stillpond.app.live;

import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import stillpond.app.history.Happened;

/** Says within a transaction what its commit will have changed. */
@Component
class Announcements {

    private static final String NOBODY = "-";

    private final LiveWire wire;

    Announcements(LiveWire wire) {
        this.wire = wire;
    }

    @TransactionalEventListener(phase = TransactionPhase.BEFORE_COMMIT)
    void on(Happened happened) {
        String author = happened.author().map(Object::toString).orElse(NOBODY);
        LiveEvent event = happened.sheet()
                .map(sheet -> new LiveEvent(
                        happened.project(),
                        "sheet",
                        String.join(" ", sheet.toString(), happened.part().name(), author, FromPage.id())))
                .orElseGet(() -> new LiveEvent(happened.project(), "palette", author + " " + FromPage.id()));
        wire.announce(event);
    }
}
