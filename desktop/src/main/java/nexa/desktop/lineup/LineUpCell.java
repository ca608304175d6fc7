package nexa.desktop.lineup;

import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.control.Label;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import nexa.core.geometry.Point;
import nexa.core.geometry.Segment;
import nexa.core.geometry.Size;
import nexa.core.guide.Guide;
import nexa.core.series.CropTable;
import nexa.core.series.PhotoCrop;
import nexa.core.series.StepFromLead;
import nexa.core.shape.PhotoSpace;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Wheel;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.GuideLayer;
import nexa.desktop.picture.Thumb;
import nexa.desktop.series.StepWords;
import nexa.desktop.session.ShootSession;

/** One crop of the line-up: it can be slid and tightened where it is. */
final class LineUpCell extends VBox {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass OUT = PseudoClass.getPseudoClass("out");
    private static final double RING = 5;

    /** What the hand does in a cell. */
    interface Actions {
        void choose(String file);

        void open(String file);

        /** Slides by a way on screen, in the photo's pixels. */
        void slide(PhotoCrop crop, Point way);

        /** Tightens by notches of the wheel about a place in the crop. */
        void tighten(PhotoCrop crop, double notches, Point place);

        void letGo();
    }

    private final Actions actions;
    private final Thumb thumb;
    private final GuideLayer guides = new GuideLayer();
    private final Circle ring = new Circle(RING);
    private final Pane marks = new Pane(guides, ring);
    private final StackPane frame;
    private final Label name = Parts.name("small");
    private final Label word = Parts.label("", "small");
    private Optional<CropTable.Row> shown = Optional.empty();
    private Size size = new Size(1, 1);
    private Point grip = Point.ORIGIN;

    LineUpCell(ShootSession session, Actions actions) {
        this.actions = actions;
        this.thumb = new Thumb(session.pictures());
        ring.getStyleClass().add("subject-ring");
        marks.setMouseTransparent(true);
        guides.setFine(true);
        StackPane picture = new StackPane(thumb, marks);
        frame = new StackPane(picture);
        frame.getStyleClass().add("lineup-frame");
        frame.setCursor(Cursor.OPEN_HAND);
        word.setMinWidth(USE_PREF_SIZE);
        HBox caption = new HBox(6, name, Parts.spacer(), word);
        getStyleClass().add("lineup-cell");
        setSpacing(2);
        getChildren().addAll(frame, caption);
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        frame.setOnMousePressed(this::pressed);
        frame.setOnMouseDragged(this::dragged);
        frame.setOnMouseReleased(event -> actions.letGo());
        frame.setOnScroll(this::scrolled);
    }

    private void pressed(MouseEvent event) {
        shown.ifPresent(entry -> {
            grip = new Point(event.getX(), event.getY());
            actions.choose(entry.file());
            if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) {
                actions.open(entry.file());
            }
        });
    }

    private void dragged(MouseEvent event) {
        shown.filter(entry -> event.isPrimaryButtonDown()).ifPresent(entry -> {
            Point now = new Point(event.getX(), event.getY());
            // The photo goes with the pointer, so the crop goes the other way over it.
            Point way = grip.minus(now).times(entry.crop().crop().size().width() / size.width());
            grip = now;
            actions.slide(entry.crop(), way);
        });
    }

    private void scrolled(ScrollEvent event) {
        double notches = Wheel.notches(event);
        if (notches != 0) {
            shown.ifPresent(entry -> {
                Point place = new Point(event.getX() / size.width(), event.getY() / size.height());
                actions.tighten(entry.crop(), notches, place);
            });
            event.consume();
        }
    }

    void show(CropTable.Row entry, double width, Guide guide, boolean isCurrent) {
        boolean isNews = shown.isEmpty() || !shown.get().crop().equals(entry.crop()) || size.width() != width;
        shown = Optional.of(entry);
        PhotoCrop crop = entry.crop();
        size = new Size(width, width / crop.crop().size().ratio());
        if (isNews) {
            setId("lineup-" + PhotoNames.base(entry.file()));
            thumb.show(crop, size.width(), size.height());
            frame.setMaxSize(size.width() + 6, size.height() + 6);
            setMaxWidth(size.width() + 6);
            marks.setMinSize(size.width(), size.height());
            marks.setMaxSize(size.width(), size.height());
        }
        guides.show(List.of(guide), List.of());
        guides.lay(new Rectangle(0, 0, size.width(), size.height()));
        showMark(entry);
        Parts.setName(name, entry.file());
        pseudoClassStateChanged(CURRENT, isCurrent);
        pseudoClassStateChanged(OUT, entry.isOut());
        word.setText(words(entry));
        Parts.style(word, "small", style(entry));
        setAccessibleText(entry.file() + ", " + word.getText());
    }

    /** Rings what it is measured by: the middle of the eyes, or the subject. */
    private void showMark(CropTable.Row entry) {
        PhotoCrop crop = entry.crop();
        PhotoSpace space = crop.photo().space();
        boolean isByEyes = entry.step().map(StepFromLead::isByEyes).orElse(true);
        Optional<Point> place = crop.photo()
                .subject()
                .map(subject -> subject.eyesIn(space)
                        .filter(eyes -> isByEyes)
                        .map(Segment::middle)
                        .orElseGet(() -> subject.in(space)))
                .map(at -> crop.crop().placeOf(at, crop.photo().angle()));
        boolean isIn = place.map(at -> at.x() >= 0 && at.x() <= 1 && at.y() >= 0 && at.y() <= 1)
                .orElse(false);
        ring.setVisible(isIn);
        place.filter(at -> isIn).ifPresent(at -> {
            ring.setCenterX(at.x() * size.width());
            ring.setCenterY(at.y() * size.height());
        });
    }

    private static String words(CropTable.Row entry) {
        if (entry.follows()) {
            String step = entry.step().map(StepWords::of).orElse("");
            boolean isPlain = !entry.isOut() && entry.crop().isLimited();
            return isPlain ? Words.get("lineup.limited") : step;
        }
        return Words.of("state", entry.crop().state());
    }

    private static String style(CropTable.Row entry) {
        if (entry.isOut()) {
            return "look";
        }
        return entry.crop().state() == PhotoCrop.State.LEAD ? "fine" : "quiet";
    }

    void clear() {
        shown = Optional.empty();
        setId(null);
        thumb.clear();
    }
}
