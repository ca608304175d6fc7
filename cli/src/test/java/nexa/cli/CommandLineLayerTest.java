package nexa.cli;

import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.assignableTo;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.name;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The layers below are held by the window's tests. */
@AnalyzeClasses(packages = "nexa.cli", importOptions = ImportOption.DoNotIncludeTests.class)
class CommandLineLayerTest {
    /** What something thrown says itself is for developers. */
    @ArchTest
    static final ArchRule whatIsThrownIsTakenFromWords = noClasses()
            .should()
            .accessTargetWhere(target(name("getMessage")).and(target(owner(assignableTo(Throwable.class)))));

    @ArchTest
    static final ArchRule theCommandLineKnowsNoScreen = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("nexa.desktop..", "javafx..", "org.bytedeco..");
}
