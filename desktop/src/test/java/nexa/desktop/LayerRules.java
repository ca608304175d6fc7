package nexa.desktop;

import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.assignableTo;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.name;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** What each module may use. */
final class LayerRules {
    private LayerRules() {}

    @ArchTest
    static final ArchRule coreKnowsOnlyItselfAndPlainJava = classes()
            .that()
            .resideInAPackage("nexa.core..")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage("nexa.core..", "java.lang..", "java.util..", "java.math..");

    @ArchTest
    static final ArchRule filesKnowOnlyCore = noClasses()
            .that()
            .resideInAPackage("nexa.files..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "nexa.store..", "nexa.imaging..", "nexa.cli..", "nexa.desktop..", "javafx..", "com.fasterxml..");

    @ArchTest
    static final ArchRule storeKnowsNoPicturesAndNoScreen = noClasses()
            .that()
            .resideInAPackage("nexa.store..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "nexa.imaging..", "nexa.cli..", "nexa.desktop..", "javafx..", "java.awt..", "org.bytedeco..");

    @ArchTest
    static final ArchRule imagingKnowsNoDocumentsAndNoScreen = noClasses()
            .that()
            .resideInAPackage("nexa.imaging..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("nexa.store..", "nexa.cli..", "nexa.desktop..", "javafx..", "com.fasterxml..");

    @ArchTest
    static final ArchRule onlyTheWindowAndTheCommandLineHaveWords = noClasses()
            .that()
            .resideInAnyPackage("nexa.core..", "nexa.store..", "nexa.imaging..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("nexa.words..");

    /** What something thrown says itself is for developers. */
    @ArchTest
    static final ArchRule whatIsThrownIsTakenFromWords = noClasses()
            .that()
            .resideInAPackage("nexa.desktop..")
            .should()
            .accessTargetWhere(target(name("getMessage")).and(target(owner(assignableTo(Throwable.class)))));

    @ArchTest
    static final ArchRule wordsKnowOnlyCore = noClasses()
            .that()
            .resideInAPackage("nexa.words..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("nexa.store..", "nexa.imaging..", "nexa.cli..", "nexa.desktop..", "javafx..");

    @ArchTest
    static final ArchRule backgroundWorkKnowsNothingOfPhotos = noClasses()
            .that()
            .resideInAPackage("nexa.imaging.work..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("nexa.core..");

    @ArchTest
    static final ArchRule viewsDecodeNothing = noClasses()
            .that()
            .resideInAPackage("nexa.desktop..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("nexa.cli..", "org.bytedeco..", "com.drew..", "com.fasterxml..");
}
