package stillpond.app.support;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/** A test that {@code ./pond test all} runs and {@code ./pond test} does not. */
@Target({ElementType.METHOD, ElementType.TYPE})
@Retention(RetentionPolicy.RUNTIME)
@EnabledIfEnvironmentVariable(named = "POND_TEST", matches = "all")
public @interface Heavy {

    /** For tests that do more then. */
    boolean IS_WANTED = "all".equals(System.getenv("POND_TEST"));
}
