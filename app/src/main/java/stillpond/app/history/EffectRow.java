package stillpond.app.history;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.UUID;

/**
 * An effect as the log keeps it; which columns it has depends on its kind, see {@link EffectTexts}.
 *
 * @param cells what {@code before} and {@code after} are about, one by one, if they are about something numbered
 */
@Embeddable
record EffectRow(
        @Enumerated(EnumType.STRING) Kind kind,
        UUID sheetId,
        UUID layerId,
        UUID replaced,
        @Column(columnDefinition = "integer[]") int[] cells,
        @Column(columnDefinition = "text[]") String[] before,
        @Column(columnDefinition = "text[]") String[] after) {

    enum Kind {
        FILLED,
        DAMMED,
        RECUT,
        GROUPED,
        SHADED,
        STACKED,
        FRAMED,
        REFERENCED,
        MET,
        CAST,
        CARDS,
        STAGED
    }
}
