package stillpond.app.sheet;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import stillpond.core.blockin.Reference;

@Entity
@Table(name = "sheet_reference")
class StoredReference {

    @Id
    private UUID sheetId;

    private UUID pictureId;
    private double x;
    private double y;
    private double scale;
    private double degrees;
    private int strengthPercent;

    @Enumerated(EnumType.STRING)
    private Reference.Look look;

    private int valueCount;

    @Column(name = "is_hidden")
    private boolean hidden;

    protected StoredReference() {}

    StoredReference(UUID sheet, Reference reference) {
        this.sheetId = sheet;
        this.pictureId = reference.picture();
        this.x = reference.x();
        this.y = reference.y();
        this.scale = reference.scale();
        this.degrees = reference.degrees();
        this.strengthPercent = reference.strengthPercent();
        this.look = reference.look();
        this.valueCount = reference.values();
        this.hidden = reference.isHidden();
    }

    Reference asReference() {
        return new Reference(pictureId, x, y, scale, degrees, strengthPercent, look, valueCount, hidden);
    }
}
