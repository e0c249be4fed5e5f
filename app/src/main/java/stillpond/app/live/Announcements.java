package stillpond.app.live;

import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import stillpond.app.palette.PaletteChanged;
import stillpond.app.sheet.SheetChanged;

/** Says within a transaction what its commit will have changed. */
@Component
class Announcements {

    private static final String NOBODY = "-";

    private final LiveWire wire;

    Announcements(LiveWire wire) {
        this.wire = wire;
    }

    @TransactionalEventListener(phase = TransactionPhase.BEFORE_COMMIT)
    void on(PaletteChanged changed) {
        wire.announce(new LiveEvent(changed.project(), "palette", changed.author() + " " + FromPage.id()));
    }

    @TransactionalEventListener(phase = TransactionPhase.BEFORE_COMMIT)
    void on(SheetChanged changed) {
        String author = changed.author().map(Object::toString).orElse(NOBODY);
        wire.announce(new LiveEvent(
                changed.project(),
                "sheet",
                String.join(" ", changed.sheet().toString(), changed.what().name(), author, FromPage.id())));
    }
}
