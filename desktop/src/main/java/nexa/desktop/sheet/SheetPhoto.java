package nexa.desktop.sheet;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Polygon;
import nexa.core.geometry.Angle;
import nexa.core.geometry.Outline;
import nexa.core.geometry.Point;
import nexa.core.geometry.Size;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.Thumb;
import nexa.desktop.picture.Veil;
import nexa.desktop.session.ShootSession;

/** One photo on the sheet, with its crop drawn on it, its name, and what is to be said of it. */
final class SheetPhoto extends VBox {
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final double NOTCH = 15;
    /** The most that the words below a photo take of its width. */
    private static final double WORDS = 0.55;

    private static final PseudoClass OUT = PseudoClass.getPseudoClass("out");

    /** What is done with a photo. */
    interface Actions {
        void clicked(String file, MouseEvent event);

        void asked(String file, Node photo, ContextMenuEvent event);

        SheetMode mode();
    }

    private final ShootSession session;
    private final Actions actions;
    private final Polygon notch = new Polygon(0, 0, NOTCH, 0, NOTCH, NOTCH);
    private final Thumb thumb;
    private final Veil veil = new Veil();
    private final Polygon edge = new Polygon();
    private final Polygon halo = new Polygon();
    private final Pane marks = new Pane(veil, halo, edge);
    private final Label reason = Parts.label("", "sheet-photo-reason");
    private final StackPane picture;
    private final Label name = Parts.name("small", "sheet-photo-name");
    private final Label files = Parts.label(Words.get("photo.twoFiles"), "small", "quiet");
    private final Label word = Parts.label("", "small");
    private Optional<String> file = Optional.empty();
    private SheetRow.PhotoSize room = new SheetRow.PhotoSize(1, 1);
    private SheetMode seenMode = SheetMode.WITH_CROP;
    private Optional<PhotoCrop> seen = Optional.empty();

    SheetPhoto(ShootSession session, Actions actions) {
        this.session = session;
        this.actions = actions;
        this.thumb = new Thumb(session.pictures());
        veil.getStyleClass().add("sheet-photo-veil");
        halo.getStyleClass().add("sheet-photo-crop-halo");
        edge.getStyleClass().add("sheet-photo-crop");
        marks.setMouseTransparent(true);
        reason.setWrapText(true);
        picture = new StackPane(thumb, marks, reason, notch);
        picture.getStyleClass().add("sheet-photo-picture");
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        files.managedProperty().bind(files.visibleProperty());
        HBox caption = Parts.row(6, name, word);
        getChildren().addAll(picture, new VBox(caption, files));
        getStyleClass().add("sheet-photo");
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        notch.getStyleClass().add("sheet-photo-notch");
        notch.setMouseTransparent(true);
        StackPane.setAlignment(notch, Pos.TOP_RIGHT);
        setOnMouseClicked(event -> {
            if (event.isStillSincePress()) {
                file.ifPresent(name -> actions.clicked(name, event));
            }
        });
        setOnContextMenuRequested(event -> {
            file.ifPresent(name -> actions.asked(name, this, event));
            event.consume();
        });
        sceneProperty().addListener((observed, before, now) -> refresh());
        session.shootProperty().addListener((observed, before, now) -> refresh());
        session.readingProperty().addListener((observed, before, now) -> refresh());
        session.formatProperty().addListener((observed, before, now) -> refresh());
        session.photoProperty().addListener((observed, before, now) -> markCurrent());
        session.chosenProperty().addListener((observed, before, now) -> markCurrent());
    }

    void show(String newFile, SheetRow.PhotoSize newRoom) {
        boolean isNews = !file.equals(Optional.of(newFile)) || !room.equals(newRoom);
        file = Optional.of(newFile);
        room = newRoom;
        if (isNews) {
            seen = Optional.empty();
            setId("sheet-photo-" + PhotoNames.base(newFile));
            setMaxWidth(room.width());
            setPrefWidth(room.width());
            picture.setMinSize(room.width(), room.height());
            picture.setMaxSize(room.width(), room.height());
            refresh();
        }
    }

    Optional<String> file() {
        return file;
    }

    /** Shows the same photo as it is now. */
    void again() {
        refresh();
    }

    void clear() {
        file = Optional.empty();
        seen = Optional.empty();
        setId(null);
        thumb.clear();
    }

    private void refresh() {
        Optional<Photo> photo = file.flatMap(name -> session.shoot().find(name));
        if (photo.isEmpty() || getScene() == null) {
            return;
        }
        Parts.setName(name, photo.get().file());
        files.setVisible(photo.get().raw().isPresent());
        Parts.tip(files, photo.get().raw().orElse(""));
        pseudoClassStateChanged(OUT, photo.get().mark() == Mark.OUT);
        markCurrent();
        Optional<PhotoCrop> crop = photo.filter(session::isReady).map(ready -> session.crop(ready, session.format()));
        crop.ifPresentOrElse(this::showCrop, () -> showReason(photo.get()));
        setAccessibleText(Stream.of(name.getText(), files.isVisible() ? files.getText() : "", word.getText())
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining(" ")));
    }

    private void showCrop(PhotoCrop crop) {
        word.setText(words(crop));
        boolean isPlain = crop.state() == PhotoCrop.State.UNTOUCHED && !crop.isDone();
        Parts.style(word, "small", isPlain ? "quiet" : "sheet-photo-word");
        reason.setText("");
        SheetMode mode = actions.mode();
        if (!seen.equals(Optional.of(crop)) || mode != seenMode) {
            if (mode == SheetMode.CROP) {
                thumb.show(crop, room.width(), room.height());
            } else {
                thumb.show(crop.photo(), room.width(), room.height());
                drawCrop(crop);
            }
            seen = Optional.of(crop);
            seenMode = mode;
        }
        marks.setVisible(mode == SheetMode.WITH_CROP);
    }

    /** The words have the room they need, but leave the name enough to tell it by. */
    @Override
    protected void layoutChildren() {
        word.setMinWidth(Math.min(word.prefWidth(-1), getWidth() * WORDS));
        super.layoutChildren();
    }

    private static String words(PhotoCrop crop) {
        if (crop.photo().mark() == Mark.OUT) {
            return Words.get("mark.out");
        }
        String state = words(crop, crop.isDone());
        return crop.photo().mark() == Mark.SELECT ? Words.get("mark.selectAnd", state) : state;
    }

    private static String words(PhotoCrop crop, boolean isDone) {
        if (isDone && crop.state() != PhotoCrop.State.UNTOUCHED && crop.state() != PhotoCrop.State.FOLLOW) {
            return Words.get("state.andDone", Words.of("state", crop.state()));
        }
        return isDone ? Words.get("state.done") : Words.of("state", crop.state());
    }

    private void showReason(Photo photo) {
        thumb.clear();
        marks.setVisible(false);
        seen = Optional.empty();
        word.setText("");
        reason.setText(session.problem(photo)
                .map(problem -> Words.of("problem", problem.reason()))
                .orElse(Words.get("easel.reading")));
    }

    private void drawCrop(PhotoCrop crop) {
        Size photo = crop.photo().size();
        double scale = Math.min(room.width() / photo.width(), room.height() / photo.height());
        double left = (room.width() - scale * photo.width()) / 2;
        double top = (room.height() - scale * photo.height()) / 2;
        UnaryOperator<Point> inPrint = point -> point.times(scale).plus(new Point(left, top));
        List<Point> corners = crop.photoCorners().stream().map(inPrint).toList();
        List<Point> outline =
                new Outline(photo, Angle.NONE).corners().stream().map(inPrint).toList();
        veil.layAround(outline, corners);
        Double[] points = corners.stream()
                .flatMap(corner -> List.of(corner.x(), corner.y()).stream())
                .toArray(Double[]::new);
        edge.getPoints().setAll(points);
        halo.getPoints().setAll(points);
    }

    private void markCurrent() {
        pseudoClassStateChanged(
                CURRENT, file.isPresent() && file.equals(session.photoProperty().get()));
        boolean isChosen = file.map(session.chosenProperty().get()::contains).orElse(false);
        pseudoClassStateChanged(CHOSEN, isChosen);
        notch.setVisible(isChosen);
    }
}
