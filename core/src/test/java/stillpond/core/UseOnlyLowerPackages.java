package stillpond.core;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.util.List;

/** A class may use its own package and those that stand before it. */
final class UseOnlyLowerPackages extends ArchCondition<JavaClass> {

    private final List<String> lowestFirst;

    UseOnlyLowerPackages(List<String> lowestFirst) {
        super("use only the packages below their own: " + lowestFirst);
        this.lowestFirst = lowestFirst;
    }

    @Override
    public void check(JavaClass javaClass, ConditionEvents events) {
        for (Dependency dependency : javaClass.getDirectDependenciesFromSelf()) {
            int mine = lowestFirst.indexOf(PackageDirectionTest.packageOf(javaClass));
            int used = lowestFirst.indexOf(PackageDirectionTest.packageOf(dependency.getTargetClass()));
            if (used > mine) {
                events.add(SimpleConditionEvent.violated(dependency, dependency.getDescription()));
            }
        }
    }
}
