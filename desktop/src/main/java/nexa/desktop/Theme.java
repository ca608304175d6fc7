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
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The look of the controls this program has.
 *
 * <p>The library's style sheet is for a hundred kinds of controls. For every new node JavaFX compares each of its rules'
 * sets of style classes, which takes most of the time in which a window is opened: the rules of controls that are nowhere
 * in this program are left out.
 */
final class Theme {
    /**
     * Style classes of controls, and of looks of them, that no node of this program has. A name that ends with a hyphen
     * stands for all that begin so. Who adds such a control takes its name from here.
     */
    private static final List<String> UNUSED = List.of(
            "accordion",
            "alert",
            "area-",
            "bar-",
            "bb-code",
            "bg-",
            "border-",
            "breadcrumbs",
            "bubble-",
            "calendar",
            "caption-menu-item",
            "chart",
            "chart-",
            "choice-box",
            "choice-dialog",
            "color-",
            "custom-color-dialog",
            "custom-text-field",
            "date-picker",
            "date-picker-popup",
            "default-",
            "dialog-pane",
            "elevated-",
            "html-editor",
            "html-editor-",
            "hyperlink",
            "ikonli-font-icon",
            "input-group",
            "menu-bar",
            "message",
            "modal-",
            "notification",
            "pagination",
            "password-field",
            "pie-",
            "popover",
            "radio-",
            "ring-progress-indicator",
            "spinner",
            "split-menu-button",
            "split-pane",
            "stacked-",
            "tab-pane",
            "table-",
            "text-area",
            "text-input-dialog",
            "tile",
            "tile-",
            "title-",
            "titled-pane",
            "toggle-switch",
            "tool-bar",
            "tree-");

    /** A style class that is unused, as a whole and nothing else. */
    private static final Pattern UNUSED_CLASS = Pattern.compile(UNUSED.stream()
            .map(name -> Pattern.quote(name) + (name.endsWith("-") ? "[\\w-]+" : ""))
            .collect(Collectors.joining("|")));

    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern STYLE_CLASS = Pattern.compile("\\.([A-Za-z_][\\w-]*)");
    /** What it is for, and its declarations. */
    private static final Pattern RULE = Pattern.compile("([^{}]+)(\\{[^{}]*\\})");

    /** The style sheet of the controls, as a URL. */
    static final String STYLESHEET = dataUrl(withoutUnused(text(new PrimerLight().getUserAgentStylesheet())));

    private Theme() {}

    /** A style sheet as a URL that holds it. */
    static String dataUrl(String css) {
        return "data:text/css;charset=UTF-8;base64,"
                + Base64.getEncoder().encodeToString(css.getBytes(StandardCharsets.UTF_8));
    }

    /** Whether the rules for a style class are left out. */
    static boolean isUnused(String styleClass) {
        return UNUSED_CLASS.matcher(styleClass).matches();
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
     * @param path from the root of the class path
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
