package nexa.desktop;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.junit.ArchTests;

/** The rules of all modules and their packages, over the program's classes, which are read once. */
@AnalyzeClasses(packages = "nexa", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchTests LAYERS = ArchTests.in(LayerRules.class);

    @ArchTest
    static final ArchTests PACKAGES = ArchTests.in(PackageRules.class);
}
