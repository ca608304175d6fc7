package nexa.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nexa.core.shoot.Edit;
import nexa.desktop.parts.Words;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class WordsTest {
    private static final Pattern ASKED = Pattern.compile("Words\\.get\\(\\s*\"([a-zA-Z.]+)\"\\s*[,)]");
    private static final Pattern PART = Pattern.compile("Parts\\.(?:button|toggle)\\(\\s*\"([a-zA-Z.]+)\"\\s*,");

    @Test
    void everyWordAskedForIsInTheBundle() throws IOException {
        Set<String> known =
                ResourceBundle.getBundle("nexa.desktop.words", Locale.ENGLISH).keySet();
        Set<String> asked = new TreeSet<>();
        try (Stream<Path> sources = Files.walk(Path.of("src", "main", "java"))) {
            for (Path source :
                    sources.filter(file -> file.toString().endsWith(".java")).toList()) {
                String code = Files.readString(source);
                for (Matcher found = ASKED.matcher(code); found.find(); ) {
                    asked.add(found.group(1));
                }
                for (Matcher found = PART.matcher(code); found.find(); ) {
                    asked.add(found.group(1));
                    asked.add(found.group(1) + ".tip");
                }
            }
        }
        asked.removeIf(key -> key.endsWith("."));
        assertThat(known).containsAll(asked);
        assertThat(asked.size()).isGreaterThan(100);
    }

    @ParameterizedTest
    @EnumSource(Edit.Kind.class)
    void everyKindOfEditHasAName(Edit.Kind kind) {
        assertThat(Words.of("edit", kind)).isNotBlank();
    }
}
