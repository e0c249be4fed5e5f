package stillpond.app.device;

import java.util.UUID;
import stillpond.core.cut.CuttingRun;
import stillpond.core.cut.Laid;

/** A cutter that follows programs of ISO 6983. */
interface Cutter {

    /** How far its axis goes. */
    record Bed(double widthMm, double heightMm) {}

    Bed bed();

    /**
     * Looks how a sheet lies.
     *
     * @param job whose sheet lies on it
     * @param widthMm of the page within its border of marks, as {@code heightMm}
     */
    Laid find(UUID job, double widthMm, double heightMm);

    /** @param laid how the sheet lies @throws stillpond.core.refusal.Refusal naming the line that it cannot follow */
    CuttingRun cut(String program, Laid laid);
}
