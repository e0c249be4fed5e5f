package stillpond.app.sheet;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import stillpond.core.cell.Box;

/** The part of a sheet that is the page; a sheet without one is page all over. */
@Entity
@Table(name = "page_frame")
class StoredFrame {

    @Id
    private UUID sheetId;

    @Column(name = "x_start")
    private int left;

    @Column(name = "y_start")
    private int top;

    @Column(name = "x_end_exclusive")
    private int rightExclusive;

    @Column(name = "y_end_exclusive")
    private int bottomExclusive;

    protected StoredFrame() {}

    StoredFrame(UUID sheet, Box box) {
        this.sheetId = sheet;
        this.left = box.xStart();
        this.top = box.yStart();
        this.rightExclusive = box.xEndExclusive();
        this.bottomExclusive = box.yEndExclusive();
    }

    Box box() {
        return new Box(left, top, rightExclusive, bottomExclusive);
    }
}
