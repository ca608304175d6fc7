package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is started has with it all that its modules need. */
class PomsTest {
    private static final Pattern DEPENDENCY = Pattern.compile("<dependency>(.*?)</dependency>", Pattern.DOTALL);
    private static final Pattern ARTIFACT = Pattern.compile("<artifactId>(.*?)</artifactId>");
    private static final Pattern SCOPE = Pattern.compile("<scope>(.*?)</scope>");

    /** The scopes of what a module says it needs, by its name. */
    private static Map<String, String> needs(String module) throws Exception {
        Map<String, String> needs = new TreeMap<>();
        Matcher dependency = DEPENDENCY.matcher(Files.readString(Path.of("..", module, "pom.xml")));
        while (dependency.find()) {
            needs.putIfAbsent(first(ARTIFACT, dependency.group(1)), first(SCOPE, dependency.group(1)));
        }
        return needs;
    }

    private static String first(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        return matcher.find() ? matcher.group(1) : "";
    }

    /** A module that says something is for its tests alone keeps it from those it stands on, too. */
    @ParameterizedTest
    @ValueSource(strings = {"cli", "desktop", "shots", "bench", "sample"})
    void nothingIsForTestsAloneThatAModuleBelowNeeds(String module) throws Exception {
        List<String> forTests = new ArrayList<>();
        List<String> below = new ArrayList<>();
        needs(module).forEach((name, scope) -> (scope.equals("test") ? forTests : below).add(name));
        for (int i = 0; i < below.size(); i++) {
            if (Files.exists(Path.of("..", below.get(i), "pom.xml"))) {
                needs(below.get(i)).forEach((name, scope) -> {
                    if (!scope.equals("test") && !below.contains(name)) {
                        below.add(name);
                    }
                });
            }
        }
        assertThat(forTests).doesNotContainAnyElementsOf(below);
    }
}
