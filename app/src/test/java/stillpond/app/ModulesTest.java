package stillpond.app;

import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModulesTest {

    @Test
    void featuresKeepToTheirBoundaries() {
        ApplicationModules.of(StillPondApplication.class).verify();
    }
}
