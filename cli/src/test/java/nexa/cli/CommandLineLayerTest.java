package nexa.cli;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The layers below are held by the window's tests. */
@AnalyzeClasses(packages = "nexa.cli", importOptions = ImportOption.DoNotIncludeTests.class)
class CommandLineLayerTest {
    @ArchTest
    static final ArchRule theCommandLineKnowsNoScreen = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("nexa.desktop..", "javafx..", "org.bytedeco..");
}
