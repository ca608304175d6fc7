package nexa.desktop;

import atlantafx.base.theme.PrimerLight;
import com.google.common.base.Splitter;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The look of the controls this program has.
 *
 * <p>The library's style sheet is for every kind of control. For every new kind of node JavaFX compares the style classes of
 * all its rules, which took nearly half of the JavaFX thread's time in the window's tests: the rules of controls that are
 * nowhere in this program are left out.
 */
final class Theme {
    /**
     * Style classes of controls, and of looks of them, that no node of this program has. Who adds such a control takes its name
     * from here.
     */
    private static final Set<String> UNUSED = Set.of(
            "accordion",
            "alert",
            "bb-code",
            "breadcrumbs",
            "calendar",
            "caption-menu-item",
            "chart",
            "choice-box",
            "choice-dialog",
            "custom-color-dialog",
            "custom-text-field",
            "date-picker",
            "date-picker-popup",
            "dialog-pane",
            "html-editor",
            "hyperlink",
            "ikonli-font-icon",
            "menu-bar",
            "message",
            "notification",
            "pagination",
            "password-field",
            "popover",
            "ring-progress-indicator",
            "spinner",
            "split-menu-button",
            "split-pane",
            "tab-pane",
            "text-area",
            "text-input-dialog",
            "tile",
            "titled-pane",
            "toggle-switch",
            "tool-bar");

    /** How further ones begin. */
    private static final List<String> UNUSED_BEGINNINGS = List.of(
            "area-",
            "bar-",
            "bg-",
            "border-",
            "bubble-",
            "chart-",
            "color-",
            "default-",
            "elevated-",
            "html-editor-",
            "modal-",
            "pie-",
            "radio-",
            "stacked-",
            "table-",
            "tile-",
            "title-",
            "tree-");

    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern STYLE_CLASS = Pattern.compile("\\.([A-Za-z_][\\w-]*)");
    /** What it is for, and its declarations. */
    private static final Pattern RULE = Pattern.compile("([^{}]+)(\\{[^{}]*\\})");

    private static final String STYLESHEET = dataUrl(withoutUnused(text(new PrimerLight().getUserAgentStylesheet())));

    private Theme() {}

    /** The style sheet of the controls, as a URL. It is read and cut on the thread that asks first. */
    static String stylesheet() {
        return STYLESHEET;
    }

    /** A style sheet as a URL that holds it. */
    static String dataUrl(String css) {
        return "data:text/css;charset=UTF-8;base64,"
                + Base64.getEncoder().encodeToString(css.getBytes(StandardCharsets.UTF_8));
    }

    /** Whether the rules for a style class are left out. */
    static boolean isUnused(String styleClass) {
        return UNUSED.contains(styleClass) || UNUSED_BEGINNINGS.stream().anyMatch(styleClass::startsWith);
    }

    /** The rules of a style sheet, less those of controls that this program has none of. */
    static String withoutUnused(String css) {
        return RULE.matcher(COMMENT.matcher(css).replaceAll(""))
                .results()
                .map(Theme::used)
                .collect(Collectors.joining());
    }

    /**
     * A style sheet that comes with the program.
     *
     * @param path as {@link Class#getResource} takes it
     */
    static String text(String path) {
        try (InputStream in = Objects.requireNonNull(Theme.class.getResourceAsStream(path))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("a part of the program cannot be read", e);
        }
    }

    private static String used(MatchResult rule) {
        String selectors = Splitter.on(',')
                .trimResults()
                .splitToStream(rule.group(1))
                .filter(selector ->
                        STYLE_CLASS.matcher(selector).results().noneMatch(found -> isUnused(found.group(1))))
                .collect(Collectors.joining(", "));
        return selectors.isEmpty() ? "" : selectors + " " + rule.group(2) + "\n";
    }
}
