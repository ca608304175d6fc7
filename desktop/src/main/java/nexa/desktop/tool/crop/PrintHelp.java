package nexa.desktop.tool.crop;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.util.StringConverter;
import nexa.core.format.Paper;
import nexa.core.format.ViewingDistance;
import nexa.core.geometry.Size;
import nexa.core.guide.Nested;
import nexa.core.series.PhotoCrop;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;

/** What a crop gives in print: on which papers it fits, and from how far off it looks sharp. */
final class PrintHelp extends VBox {
    private static final double WHOLE_WITHIN = 0.0005;
    /** With less of its pixels being the photo's own it is said that they are not. */
    private static final double DRAWN_OUT = 0.99;

    private static final double DRAWN = 26;
    private static final double CM_PER_M = 100;

    private final PhotoCrop crop;
    private final GridPane table = new GridPane();
    private final TextField distance = new TextField();

    PrintHelp(PhotoCrop crop, Runnable close) {
        this.crop = crop;
        getStyleClass().add("print-help");
        setSpacing(10);
        Size size = crop.crop().size();
        Label title = Parts.label(Words.get("print.title"), "page-title");
        Label what = Parts.label(
                Words.get("print.crop", Words.number(size.width(), 0), Words.number(size.height(), 0)), "quiet");
        Size own = crop.effective();
        if (own.width() < size.width() * DRAWN_OUT) {
            what.setText(Words.get(
                    "print.drawnOut", what.getText(), Words.number(own.width(), 0), Words.number(own.height(), 0)));
        }
        HBox heading = new HBox(12, title, what, Parts.spacer(), Parts.closeButton(close));
        heading.setAlignment(Pos.BASELINE_LEFT);
        table.setHgap(18);
        table.setVgap(5);
        ScrollPane scroll = new ScrollPane(table);
        scroll.setFitToWidth(true);
        scroll.setPrefHeight(430);
        scroll.setMinWidth(TextSize.scaled(690));
        getChildren().addAll(heading, seen(), scroll);
        crop.effectivePpi()
                .ifPresent(ppi -> getChildren()
                        .add(
                                1,
                                Parts.label(Words.get(
                                        "print.format",
                                        FormatWords.size(crop.format()),
                                        Words.number(ppi, 0),
                                        metres(ViewingDistance.sharpFrom(ppi))))));
        fill(ViewingDistance.Use.MAGAZINE.centimetres());
    }

    /** From how far it is looked at: a use by name, or a distance. */
    private HBox seen() {
        ComboBox<ViewingDistance.Use> use = uses();
        distance.setText(centimetres(ViewingDistance.Use.MAGAZINE.centimetres()));
        distance.setPrefColumnCount(6);
        distance.setId("print-distance");
        distance.getStyleClass().add("number-field");
        distance.setAccessibleText(Words.get("print.distance"));
        use.setOnAction(event -> {
            double far = use.getValue().centimetres();
            distance.setText(centimetres(far));
            fill(far);
        });
        distance.setOnAction(event -> distance(distance.getText()).ifPresent(this::fill));
        return Parts.row(
                8,
                Parts.label(Words.get("print.use"), "quiet"),
                use,
                Parts.label(Words.get("print.distance"), "quiet"),
                distance);
    }

    private static ComboBox<ViewingDistance.Use> uses() {
        ComboBox<ViewingDistance.Use> use = new ComboBox<>();
        use.getItems().setAll(ViewingDistance.Use.values());
        use.setValue(ViewingDistance.Use.MAGAZINE);
        use.setAccessibleText(Words.get("print.use"));
        use.setConverter(new StringConverter<>() {
            @Override
            public String toString(ViewingDistance.Use value) {
                return value == null ? "" : Words.of("use", value);
            }

            @Override
            public ViewingDistance.Use fromString(String text) {
                return null;
            }
        });
        return use;
    }

    /** A typed distance in centimetres: "40", "40 cm", "3 m". */
    private static OptionalDouble distance(String text) {
        String plain = text.toLowerCase(Locale.ROOT).replace(',', '.').replaceAll("[\\s\\u2009]", "");
        boolean isMetres = plain.endsWith("m") && !plain.endsWith("cm");
        try {
            double value = Double.parseDouble(plain.replaceAll("c?m$", ""));
            boolean isDistance = value > 0 && Double.isFinite(value);
            return isDistance ? OptionalDouble.of(isMetres ? value * CM_PER_M : value) : OptionalDouble.empty();
        } catch (NumberFormatException e) {
            return OptionalDouble.empty();
        }
    }

    private void fill(double centimetres) {
        double needed = ViewingDistance.neededPpi(centimetres);
        table.getChildren().clear();
        List<String> heads = List.of("print.paper", "print.ppi", "print.sharp", "print.fill", "print.whole");
        for (int i = 0; i < heads.size(); i++) {
            Label head = Parts.label(Words.get(heads.get(i), Words.number(needed, 0)), "small", "quiet");
            table.add(head, i + 1, 0);
            GridPane.setHalignment(head, i == 1 ? HPos.RIGHT : HPos.LEFT);
        }
        int row = 1;
        for (Paper paper : Paper.COMMON) {
            addRow(paper, needed, row++);
        }
    }

    private void addRow(Paper paper, double needed, int row) {
        Size size = crop.crop().size();
        double ppi = paper.ppi(crop.effective());
        boolean isSharp = ppi >= needed;
        double loses = paper.fillLoses(size);
        Label sharp = Parts.label(
                Words.get(isSharp ? "print.enough" : "print.soft", metres(ViewingDistance.sharpFrom(ppi))),
                isSharp ? "fine" : "look");
        Label ppiLabel = Parts.label(Words.number(ppi, 0), "number");
        GridPane.setHalignment(ppiLabel, HPos.RIGHT);
        table.addRow(
                row,
                drawing(paper),
                Parts.label(FormatWords.paper(paper)),
                ppiLabel,
                sharp,
                Parts.label(
                        loses < WHOLE_WITHIN
                                ? Words.get("print.nothingLost")
                                : Words.get("print.loses", Words.number(100 * loses, 1))),
                Parts.label(borders(paper, loses), "quiet"));
    }

    private String borders(Paper paper, double loses) {
        if (loses < WHOLE_WITHIN) {
            return "";
        }
        Size size = crop.crop().size();
        double along = Math.max(paper.borderAlongLongSide(size), paper.borderAlongShortSide(size));
        boolean isLong = paper.borderAlongLongSide(size) > 0;
        return Words.get(
                isLong ? "print.borderLong" : "print.borderShort",
                Words.number(along, 1),
                Words.of("unit", paper.unit()));
    }

    /** The paper with the crop on it, whole. */
    private Node drawing(Paper paper) {
        double ratio = crop.crop().size().orientation().turn(paper.ratio());
        Size sheet = ratio >= 1 ? new Size(DRAWN, DRAWN / ratio) : new Size(DRAWN * ratio, DRAWN);
        Nested inside = Nested.in(sheet, "", crop.crop().size().ratio());
        Rectangle edge = new Rectangle(sheet.width(), sheet.height());
        edge.getStyleClass().add("paper-sheet");
        Rectangle print = new Rectangle(
                inside.corner().x(),
                inside.corner().y(),
                inside.size().width(),
                inside.size().height());
        print.getStyleClass().add("paper-print");
        Pane drawing = new Pane(edge, print);
        drawing.setMinSize(DRAWN, DRAWN * 0.75);
        drawing.setMaxSize(sheet.width(), sheet.height());
        return drawing;
    }

    private static String centimetres(double value) {
        return value >= CM_PER_M
                ? Words.get("print.metres", Words.number(value / CM_PER_M, value % CM_PER_M == 0 ? 0 : 1))
                : Words.get("print.centimetres", Words.number(value, 0));
    }

    private static String metres(double centimetres) {
        return centimetres >= CM_PER_M
                ? Words.get("print.metres", Words.number(centimetres / CM_PER_M, 1))
                : Words.get("print.centimetres", Words.number(centimetres, 0));
    }
}
