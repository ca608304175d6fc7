package nexa.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Words for people are in the bundles: core, store and imaging tell reasons and values. */
class PhrasesTest {
    private static final List<String> WORDLESS = List.of("core", "files", "store", "imaging");
    private static final Pattern TEXT = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    private static final Pattern PHRASE = Pattern.compile("\\p{L}{2,}[,:;]? \\p{Ll}{2,}");
    /** What these say is for developers: they are never shown, or stand for what the system says. */
    private static final Pattern FOR_DEVELOPERS = Pattern.compile(
            "(?:IllegalStateException|IllegalArgumentException|UncheckedIOException|ImageProcessingException|IIOException"
                    + "|IOException)\\((?:[^;{}]|\\{\\})*$");

    /** Names of files and columns, the same in every language, and what the system says. */
    private static final Set<String> NAMES = Set.of(
            "nexa-shoot kept aside ",
            "nexa-shoot journal kept aside ",
            "pixels across",
            "pixels down",
            "photo: the raw is not like it",
            "No space left",
            "name too long");

    private static final Pattern KEY = Pattern.compile(
            "(?:Message\\.of|new Rejected|new Refused|new RegularFile\\.Refused|misfit)\\(\\s*\"([^\"]+)\"");
    private static final Pattern OTHER_KEY =
            Pattern.compile("\"((?:misfit|shoot|delivered|destination|file)\\.\\w+)\"");
    private static final Pattern NAMED = Pattern.compile("Require\\.\\w+\\(\\s*\"(\\w+)\"");

    private static List<Path> sources() throws IOException {
        List<Path> sources = new ArrayList<>();
        for (String module : WORDLESS) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src", "main", "java"))) {
                files.filter(file -> file.toString().endsWith(".java")).forEach(sources::add);
            }
        }
        return sources;
    }

    private static String withoutComments(Path source) throws IOException {
        return Files.readString(source).replaceAll("(?s)/\\*.*?\\*/", "").replaceAll("(?m)^\\s*//.*$", "");
    }

    @Test
    void noPhraseForPeopleStandsInTheCode() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path source : sources()) {
            String code = withoutComments(source);
            for (Matcher text = TEXT.matcher(code); text.find(); ) {
                boolean isPhrase = PHRASE.matcher(text.group(1)).find() && !NAMES.contains(text.group(1));
                String before = code.substring(Math.max(0, text.start() - 400), text.start());
                if (isPhrase && !FOR_DEVELOPERS.matcher(before).find()) {
                    found.add(source.getFileName() + ": " + text.group(1));
                }
            }
        }
        assertThat(found).isEmpty();
    }

    @Test
    void everythingToldHasItsWordsAndNoWordsAreLeftOver() throws IOException {
        Set<String> asked = new TreeSet<>(Set.of("system"));
        for (Path source : sources()) {
            String code = withoutComments(source);
            for (Pattern pattern : List.of(KEY, OTHER_KEY)) {
                for (Matcher key = pattern.matcher(code); key.find(); ) {
                    asked.add(key.group(1));
                }
            }
            for (Matcher name = NAMED.matcher(code); name.find(); ) {
                asked.add("value." + name.group(1));
            }
        }
        asked.removeIf(key -> key.endsWith("."));
        Properties words = new Properties();
        try (var in =
                Files.newBufferedReader(Path.of("src", "main", "resources", "nexa", "words", "problems.properties"))) {
            words.load(in);
        }
        Set<String> known = new TreeSet<>(words.stringPropertyNames());
        Path reasons = Path.of("..", "imaging/src/main/java/nexa/imaging/decode/PhotoProblem.java");
        for (Matcher reason = Pattern.compile("(?m)^ {8}([A-Z_]+)[,(]?$").matcher(Files.readString(reasons));
                reason.find(); ) {
            asked.add("photo." + reason.group(1).toLowerCase(Locale.ROOT));
        }
        assertThat(known).isEqualTo(asked);
    }
}
