package stillpond.app.live;

import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** A node that does not hear of changes shows old pages, so it is not ready. */
@Component
class LiveWireHealthIndicator implements HealthIndicator {

    private final LiveWire wire;

    LiveWireHealthIndicator(LiveWire wire) {
        this.wire = wire;
    }

    @Override
    public Health health() {
        return (wire.hears() ? Health.up() : Health.down()).build();
    }
}
