package nexa.desktop;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** What each package may use of its own module, as the module's package-info says. */
final class PackageRules {
    private static final Map<String, Set<String>> CORE = Map.ofEntries(
            Map.entry("message", Set.of()),
            Map.entry("geometry", Set.of("message")),
            Map.entry("crop", Set.of("geometry")),
            Map.entry("guide", Set.of("geometry")),
            Map.entry("level", Set.of("geometry")),
            Map.entry("find", Set.of("geometry", "level", "series", "shape", "shoot")),
            Map.entry("propose", Set.of("find", "geometry", "guide", "series", "shape", "shoot")),
            Map.entry("shape", Set.of("geometry", "message")),
            Map.entry("lens", Set.of("geometry", "shape")),
            Map.entry("format", Set.of("geometry", "message")),
            Map.entry("shoot", Set.of("format", "geometry", "message", "shape")),
            Map.entry("series", Set.of("format", "geometry", "message", "shape", "shoot")));

    private static final Map<String, Set<String>> STORE = Map.of(
            "json", Set.of(),
            "document", Set.of("json"),
            "user", Set.of("json", "document"),
            "lens", Set.of("document", "user"),
            "shoot", Set.of("json", "document", "user", "lens"));

    private static final Map<String, Set<String>> IMAGING = Map.of(
            "work", Set.of(),
            "tone", Set.of("render"),
            "render", Set.of(),
            "decode", Set.of(),
            "raw", Set.of("decode", "render", "work"),
            "facts", Set.of("decode", "raw"),
            "fill", Set.of("decode", "render", "work"),
            "pictures", Set.of("decode", "facts", "fill", "raw", "render", "tone", "work"),
            "find", Set.of("decode", "facts", "pictures", "render"),
            "deliver", Set.of("decode", "facts", "fill", "pictures", "raw", "render", "work"));

    private static final Set<String> SHARED =
            Set.of("parts", "session", "picture", "formats", "series", "find", "lens");

    /** What a tool of the easel may use. */
    private static final Set<String> TOOL = Set.of("parts", "session", "stage", "desk", "tool");

    private static final Map<String, Set<String>> DESKTOP = Map.ofEntries(
            Map.entry("parts", Set.of()),
            Map.entry("session", Set.of()),
            Map.entry("picture", Set.of("parts")),
            Map.entry("stage", Set.of("parts", "picture")),
            Map.entry("formats", Set.of("parts", "session")),
            Map.entry("series", Set.of("find", "parts", "picture", "session")),
            Map.entry("find", Set.of("parts", "picture", "session")),
            Map.entry("lens", Set.of("parts", "session")),
            Map.entry("brief", Set.of("parts", "session")),
            Map.entry("desk", Set.of("parts")),
            Map.entry("tool", Set.of("parts", "session", "stage", "desk", "series", "find")),
            Map.entry("tool.level", with(TOOL, "tool.perspective")),
            Map.entry("tool.perspective", TOOL),
            Map.entry("tool.lens", with(TOOL, "lens")),
            Map.entry("tool.trim", TOOL),
            Map.entry("tool.vignette", TOOL),
            Map.entry("tool.subject", TOOL),
            Map.entry("tool.propose", Set.of("parts", "session", "stage", "picture", "tool", "tool.guide")),
            Map.entry("tool.beyond", TOOL),
            Map.entry("tool.crop", TOOL),
            Map.entry("tool.guide", with(TOOL, "picture")),
            Map.entry("sheet", SHARED),
            Map.entry("lineup", SHARED),
            Map.entry("handover", SHARED),
            Map.entry(
                    "easel",
                    Set.of(
                            "parts",
                            "session",
                            "picture",
                            "formats",
                            "series",
                            "desk",
                            "stage",
                            "tool",
                            "tool.level",
                            "tool.perspective",
                            "tool.lens",
                            "tool.trim",
                            "tool.vignette",
                            "tool.subject",
                            "tool.propose",
                            "tool.beyond",
                            "tool.crop",
                            "tool.guide")),
            Map.entry(
                    "shell",
                    Set.of(
                            "brief",
                            "parts",
                            "session",
                            "picture",
                            "formats",
                            "series",
                            "sheet",
                            "easel",
                            "lineup",
                            "handover")));

    private PackageRules() {}

    private static Set<String> with(Set<String> packages, String further) {
        Set<String> all = new TreeSet<>(packages);
        all.add(further);
        return all;
    }

    @ArchTest
    static final ArchRule noPackagesRunInCircles =
            SlicesRuleDefinition.slices().matching("nexa.(**)").should().beFreeOfCycles();

    @ArchTest
    static void everyPackageUsesOnlyWhatItMay(JavaClasses all) {
        Map.of("nexa.core", CORE, "nexa.store", STORE, "nexa.imaging", IMAGING, "nexa.desktop", DESKTOP)
                .forEach((module, packages) ->
                        packages.forEach((name, may) -> uses(module, name, may).check(all)));
    }

    private static ArchRule uses(String module, String name, Set<String> may) {
        String[] allowed =
                with(may, name).stream().map(one -> module + "." + one).toArray(String[]::new);
        return classes()
                .that()
                .resideInAPackage(module + "." + name)
                .should()
                .onlyDependOnClassesThat(not(resideInAPackage(module + "..")).or(resideInAnyPackage(allowed)));
    }

    @ArchTest
    static void everyPackageIsListed(JavaClasses all) {
        assertThat(packagesOf(all, "nexa.core")).isEqualTo(CORE.keySet());
        assertThat(packagesOf(all, "nexa.store")).isEqualTo(STORE.keySet());
        assertThat(packagesOf(all, "nexa.imaging")).isEqualTo(IMAGING.keySet());
        assertThat(packagesOf(all, "nexa.desktop")).isEqualTo(DESKTOP.keySet());
    }

    private static Set<String> packagesOf(JavaClasses all, String module) {
        return all.stream()
                .map(JavaClass::getPackageName)
                .filter(name -> name.startsWith(module + "."))
                .map(name -> name.substring(module.length() + 1))
                .collect(Collectors.toSet());
    }
}
