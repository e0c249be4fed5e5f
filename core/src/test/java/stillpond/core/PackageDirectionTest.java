package stillpond.core;

import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import java.util.List;

@AnalyzeClasses(packages = "stillpond.core", importOptions = DoNotIncludeTests.class)
class PackageDirectionTest {

    /** Lowest first; each package may use only those before it. */
    private static final List<String> ORDER = List.of(
            "refusal",
            "history",
            "colour",
            "ink",
            "cell",
            "shape",
            "gap",
            "stroke",
            "region",
            "palette",
            "exchange",
            "fill",
            "line",
            "ledger",
            "shadow",
            "blockin",
            "stack",
            "adopt",
            "carry",
            "check",
            "render",
            "handon",
            "plate",
            "cut",
            "format");

    @ArchTest
    static final ArchRule packagesUseOnlyLowerOnes =
            ArchRuleDefinition.classes().should(new UseOnlyLowerPackages(ORDER));

    @ArchTest
    static final ArchRule noCycles =
            slices().matching("stillpond.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule noFrameworkInCore = ArchRuleDefinition.noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..", "org.hibernate..", "java.sql..", "javax.swing..");

    @ArchTest
    static final ArchRule everyPackageIsInTheOrder = ArchRuleDefinition.classes()
            .should()
            .resideInAnyPackage(
                    ORDER.stream().map(name -> "stillpond.core." + name).toArray(String[]::new));

    static String packageOf(JavaClass javaClass) {
        return javaClass.getPackageName().replaceFirst("^stillpond\\.core\\.?", "");
    }
}
