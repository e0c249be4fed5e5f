package stillpond.app.palette;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Swatch;

@Entity
@Table(name = "swatch")
class StoredSwatch {

    @Id
    private UUID id;

    private String name;
    private int srgb;
    private int position;

    protected StoredSwatch() {}

    StoredSwatch(Swatch swatch, int position) {
        this.id = swatch.id();
        this.name = swatch.name();
        this.srgb = swatch.colour().packed();
        this.position = position;
    }

    int position() {
        return position;
    }

    Swatch asSwatch() {
        return new Swatch(id, name, Srgb.ofPacked(srgb));
    }
}
