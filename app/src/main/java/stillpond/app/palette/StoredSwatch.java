package stillpond.app.palette;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.SQLRestriction;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Swatch;

@Entity
@Table(name = "swatch")
@SQLRestriction("removed_at is null")
class StoredSwatch {

    @Id
    private UUID id;

    private String name;
    private String part;
    private String note;
    private String paint;
    private int position;

    protected StoredSwatch() {}

    int position() {
        return position;
    }

    Swatch asSwatch() {
        return new Swatch(id, name, part, note, Paint.ofText(paint));
    }
}
