package nexa.desktop.tool.guide;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import nexa.core.format.Format;
import nexa.core.format.Paper;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.guide.GuideKind;
import nexa.core.guide.Nested;
import nexa.core.guide.Way;
import nexa.core.message.EnumName;
import nexa.desktop.desk.DeskPart;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;

/** The desk's part for the composition guides, by family, each drawn small as it is. */
final class GuideSection {
    private static final Size DRAWING = new Size(24, 15);
    private static final int DRAWN_LINES = 4;

    private final EaselSettings settings;
    private final Supplier<List<Format>> formats;
    private final Map<GuideKind, ToggleButton> buttons = new EnumMap<>(GuideKind.class);
    private final Label lines = Parts.label("", "small", "number");
    private final Map<GuideShow, ToggleButton> shows = new EnumMap<>(GuideShow.class);
    private final DeskPart part = new DeskPart("desk.guide");

    /** @param formats of the shoot, whose outlines can be shown */
    GuideSection(EaselSettings settings, Supplier<List<Format>> formats) {
        this.settings = settings;
        this.formats = formats;
        GridPane families = new GridPane();
        families.setHgap(8);
        families.setVgap(2);
        for (GuideKind.Family family : GuideKind.Family.values()) {
            HBox row = Parts.row(4);
            for (GuideKind kind : GuideKind.values()) {
                if (kind.family() == family) {
                    row.getChildren().add(button(kind));
                }
            }
            if (family == GuideKind.Family.CHECKS) {
                row.getChildren().add(lineStepper());
            }
            families.addRow(family.ordinal(), Parts.label(Words.of("family", family), "small", "quiet"), row);
        }
        HBox heading = new HBox(6, part.head(), Parts.spacer());
        for (GuideShow show : GuideShow.values()) {
            ToggleButton button = Parts.toggle("guide." + EnumName.of(show), "choice", "tiny");
            button.setId("guide-" + EnumName.of(show));
            button.setOnAction(event -> {
                settings.show().set(show);
                refresh();
            });
            shows.put(show, button);
            heading.getChildren().add(button);
        }
        heading.setAlignment(Pos.CENTER_LEFT);
        VBox node = new VBox(3, heading, families);
        node.getStyleClass().add("desk-section");
        part.with(node, 0);
        refresh();
    }

    private ToggleButton button(GuideKind kind) {
        ToggleButton button = new ToggleButton();
        button.setGraphic(drawing(kind));
        button.getStyleClass().addAll("choice", "guide-button");
        button.setId("guide-" + EnumName.of(kind));
        Parts.explain(button, Words.get("guide.tip", Words.of("guide", kind)));
        button.setAccessibleText(Words.of("guide", kind));
        button.addEventFilter(MouseEvent.MOUSE_PRESSED, event -> {
            if (event.isControlDown()) {
                settings.chooseBeside(kind);
                refresh();
                event.consume();
            }
        });
        button.setOnAction(event -> {
            settings.choose(kind);
            refresh();
        });
        button.setContextMenu(menu(kind));
        buttons.put(kind, button);
        return button;
    }

    private ContextMenu menu(GuideKind kind) {
        ContextMenu menu = new ContextMenu();
        menu.setOnShowing(event -> menu.getItems().setAll(items(kind)));
        menu.getItems().add(new MenuItem());
        return menu;
    }

    private List<MenuItem> items(GuideKind kind) {
        List<MenuItem> items = new ArrayList<>();
        MenuItem beside = new MenuItem(Words.get("guide.beside"));
        beside.setOnAction(event -> {
            settings.chooseBeside(kind);
            refresh();
        });
        items.add(beside);
        CheckMenuItem stepped = new CheckMenuItem(Words.get("guide.stepped"));
        stepped.setSelected(settings.stepped().get().contains(kind));
        stepped.setOnAction(event -> settings.setStepped(kind, stepped.isSelected()));
        items.add(stepped);
        if (kind.ways().size() > 1) {
            MenuItem turn = new MenuItem(Words.get("guide.turn"));
            turn.setOnAction(event -> settings.turn());
            items.add(turn);
        }
        if (kind == GuideKind.OUTLINES) {
            items.add(new SeparatorMenuItem());
            formats.get().stream()
                    .filter(format -> format.ratio().isFixed())
                    .map(this::outline)
                    .forEach(items::add);
            items.add(new SeparatorMenuItem());
            for (int i = 0; i < Paper.COMMON.size(); i++) {
                items.add(paper(i));
            }
        }
        return items;
    }

    private MenuItem outline(Format format) {
        CheckMenuItem item = new CheckMenuItem(format.name());
        item.setSelected(settings.isOutlined(format.id()));
        item.setOnAction(event -> settings.setOutlined(format.id(), item.isSelected()));
        return item;
    }

    private MenuItem paper(int number) {
        CheckMenuItem item = new CheckMenuItem(FormatWords.paper(Paper.COMMON.get(number)));
        item.setSelected(settings.papers().get().contains(number));
        item.setOnAction(event -> {
            Set<Integer> papers = new HashSet<>(settings.papers().get());
            if (!papers.remove(number)) {
                papers.add(number);
            }
            settings.papers().set(Set.copyOf(papers));
        });
        return item;
    }

    private Node lineStepper() {
        Button fewer = stepper("guide.fewer", -1);
        Button more = stepper("guide.more", 1);
        HBox stepper = new HBox(fewer, lines, more);
        stepper.getStyleClass().add("stepper");
        stepper.setAlignment(Pos.CENTER);
        return stepper;
    }

    private Button stepper(String key, int by) {
        return Parts.button(
                key,
                () -> {
                    int wanted = settings.gridLines().get() + by;
                    settings.gridLines().set(Math.max(GuideKind.FEWEST_LINES, Math.min(GuideKind.MOST_LINES, wanted)));
                    refresh();
                },
                "flat",
                "tiny");
    }

    private static Pane drawing(GuideKind kind) {
        Pane drawing = new Pane();
        drawing.setMinSize(DRAWING.width(), DRAWING.height());
        drawing.setMaxSize(DRAWING.width(), DRAWING.height());
        Rectangle edge = new Rectangle(DRAWING.width(), DRAWING.height());
        edge.getStyleClass().add("drawing-edge");
        drawing.getChildren().add(edge);
        for (Segment segment : kind.laid(Way.UNTURNED, DRAWN_LINES).lines(DRAWING)) {
            Line line = new Line(
                    segment.from().x(),
                    segment.from().y(),
                    segment.to().x(),
                    segment.to().y());
            line.getStyleClass().add("drawing-line");
            drawing.getChildren().add(line);
        }
        if (kind == GuideKind.OUTLINES) {
            for (double ratio : new double[] {1, 1.3}) {
                Nested nested = Nested.in(DRAWING, "", ratio);
                Rectangle inner = new Rectangle(
                        nested.corner().x(),
                        nested.corner().y(),
                        nested.size().width(),
                        nested.size().height());
                inner.getStyleClass().add("drawing-edge");
                drawing.getChildren().add(inner);
            }
        }
        drawing.setMouseTransparent(true);
        return drawing;
    }

    DeskPart part() {
        return part;
    }

    /** Marks what is chosen. */
    void refresh() {
        buttons.forEach((kind, button) -> button.setSelected(settings.isShown(kind)));
        shows.forEach((show, button) -> button.setSelected(settings.show().get() == show));
        lines.setText(String.valueOf(settings.gridLines().get()));
    }
}
