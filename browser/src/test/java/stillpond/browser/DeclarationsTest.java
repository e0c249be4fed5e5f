package stillpond.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.Constructor;
import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** The types that pages see are those of the facade. */
class DeclarationsTest {

    private static final Path CHECKED_IN = Path.of("../app/src/main/web/src/rules.d.ts");

    @Test
    void theDeclarationsAreThoseOfTheFacade() throws IOException {
        String declarations = declarations();
        if (Boolean.getBoolean("rules.write")) {
            Files.writeString(CHECKED_IN, declarations);
        }

        assertThat(CHECKED_IN)
                .as("written anew by -Drules.write=true")
                .content()
                .isEqualTo(declarations);
    }

    private static String declarations() {
        StringBuilder text = new StringBuilder("""
                /* Made from the facade in the module `browser` by its DeclarationsTest. */
                declare module "rules" {
                """);
        Exports.records().forEach(type -> record(type, text));
        Exports.classes().forEach(type -> exported(type, text));
        return text.append("}\n").toString();
    }

    private static void record(Class<?> type, StringBuilder text) {
        text.append("  export interface ").append(type.getSimpleName()).append(" {\n");
        for (RecordComponent each : type.getRecordComponents()) {
            text.append("    readonly ").append(each.getName()).append(": ");
            text.append(result(each.getType())).append(";\n");
        }
        text.append("  }\n\n");
    }

    private static void exported(Class<?> type, StringBuilder text) {
        text.append("  export class ").append(type.getSimpleName()).append(" {\n");
        Constructor<?> constructor = type.getDeclaredConstructors()[0];
        text.append(
                Exports.canBeMade(type)
                        ? "    constructor(" + parameters(constructor.getParameters()) + ");\n"
                        : "    private constructor();\n");
        for (Method method : Exports.methods(type)) {
            text.append(Exports.isStatic(method) ? "    static " : "    ");
            text.append(method.getName()).append("(").append(parameters(method.getParameters()));
            text.append("): ").append(result(method.getReturnType()));
            text.append(method.getAnnotatedReturnType().isAnnotationPresent(Nullable.class) ? " | null" : "");
            text.append(";\n");
        }
        text.append("  }\n").append(type.equals(last()) ? "" : "\n");
    }

    private static Class<?> last() {
        return Exports.classes().get(Exports.classes().size() - 1);
    }

    private static String parameters(Parameter[] parameters) {
        return Arrays.stream(parameters)
                .map(each -> each.getName() + ": " + parameter(each.getType()))
                .collect(Collectors.joining(", "));
    }

    private static String parameter(Class<?> type) {
        if (type.equals(String[].class)) {
            return "readonly string[]";
        }
        return type.isArray() ? "ArrayLike<number>" : result(type);
    }

    private static String result(Class<?> type) {
        if (type.equals(int.class) || type.equals(double.class)) {
            return "number";
        }
        if (type.equals(int[].class)) {
            return "Int32Array";
        }
        if (type.equals(double[].class)) {
            return "Float64Array";
        }
        if (type.equals(byte[].class)) {
            return "Int8Array";
        }
        if (type.isArray()) {
            return result(type.getComponentType()) + "[]";
        }
        if (type.equals(boolean.class) || type.equals(void.class)) {
            return type.getName();
        }
        if (type.equals(String.class)) {
            return "string";
        }
        if (type.isRecord() || Exports.classes().contains(type)) {
            return type.getSimpleName();
        }
        throw new IllegalArgumentException(type + " does not cross to the browser.");
    }
}
