package stillpond.browser;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaCodeUnit;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** What the script exports; the annotations that say so are in the class files only. */
final class Exports {

    private static final String EXPORTED = "org.teavm.jso.JSExport";
    private static final JavaClasses COMPILED = new ClassFileImporter().importPackagesOf(Rules.class);

    private Exports() {}

    static List<Class<?>> classes() {
        JavaClass[] classes = (JavaClass[]) COMPILED.get(Rules.class)
                .getAnnotationOfType("org.teavm.jso.JSExportClasses")
                .get("value")
                .orElseThrow();
        return Arrays.stream(classes).<Class<?>>map(JavaClass::reflect).toList();
    }

    /** By name. */
    static List<Method> methods(Class<?> exported) {
        return COMPILED.get(exported).getMethods().stream()
                .filter(method -> method.isAnnotatedWith(EXPORTED))
                .sorted(Comparator.comparing(JavaMethod::getName))
                .map(JavaMethod::reflect)
                .toList();
    }

    static boolean canBeMade(Class<?> exported) {
        return COMPILED.get(exported).getConstructors().stream()
                .anyMatch((JavaCodeUnit each) -> each.isAnnotatedWith(EXPORTED));
    }

    static boolean isStatic(Method method) {
        return Modifier.isStatic(method.getModifiers());
    }

    /** The records that methods return, by name. */
    static List<Class<?>> records() {
        Set<Class<?>> records = new TreeSet<>(Comparator.comparing(Class::getSimpleName));
        classes().stream().flatMap(each -> methods(each).stream()).forEach(method -> {
            Class<?> type = method.getReturnType();
            Class<?> element = type.isArray() ? type.getComponentType() : type;
            if (element.isRecord()) {
                records.add(element);
            }
        });
        // Records may hold others.
        List.copyOf(records).stream()
                .flatMap(each -> Arrays.stream(each.getRecordComponents()))
                .map(RecordComponent::getType)
                .map(type -> type.isArray() ? type.getComponentType() : type)
                .filter(Class::isRecord)
                .forEach(records::add);
        return List.copyOf(records);
    }
}
