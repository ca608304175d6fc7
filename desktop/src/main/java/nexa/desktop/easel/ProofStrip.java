package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Subscriptions;
import nexa.desktop.parts.TextSize;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.Thumb;
import nexa.desktop.session.ShootSession;
import nexa.imaging.decode.PhotoProblem;

/** The crops of the run as they will look, all at one height. A click goes to the photo. */
final class ProofStrip {
    private static final double HEIGHT = TextSize.scaled(62);
    /** What the frame adds to the picture's width. */
    private static final double FRAME = 8;

    private static final double WIDEST = TextSize.scaled(190);
    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");

    private final ShootSession session;
    private final ListView<String> node = new ListView<>();
    private final Subscriptions subscriptions = new Subscriptions();

    ProofStrip(ShootSession session) {
        this.session = session;
        node.setOrientation(Orientation.HORIZONTAL);
        node.getStyleClass().add("proof-strip");
        node.setId("proof-strip");
        node.setFocusTraversable(false);
        node.setAccessibleText(Words.get("proofs.text"));
        node.setCellFactory(list -> new Proof());
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.photoProperty(), this::showCurrent);
        refresh();
    }

    Node node() {
        return node;
    }

    private void refresh() {
        List<String> files = session.photos().stream().map(Photo::file).toList();
        if (!files.equals(node.getItems())) {
            node.getItems().setAll(files);
            showCurrent();
        }
    }

    /** Scrolls to the photo worked on, with some before it in sight; not while it and its neighbours are seen anyway. */
    void showCurrent() {
        int here = session.photoProperty().get().map(node.getItems()::indexOf).orElse(-1);
        if (here >= 0 && !isSeen(Math.max(0, here - 1), Math.min(node.getItems().size() - 1, here + 1))) {
            node.scrollTo(Math.max(0, here - 3));
        }
    }

    private boolean isSeen(int from, int to) {
        VirtualFlow<?> flow = (VirtualFlow<?>) node.lookup(".virtual-flow");
        boolean isLaidOut = flow != null && flow.getFirstVisibleCell() != null;
        return isLaidOut
                && flow.getFirstVisibleCell().getIndex() <= from
                && flow.getLastVisibleCell().getIndex() >= to;
    }

    void dispose() {
        subscriptions.dispose();
    }

    /** One crop of the run. */
    private final class Proof extends ListCell<String> {
        private final Thumb thumb = new Thumb(session.pictures());
        private final StackPane frame = new StackPane(thumb);
        private final Label name = Parts.name("small");
        private final Label word = Parts.label("", "small", "quiet");
        private final Node tick = Parts.tick();
        private final VBox content;
        private Optional<PhotoCrop> seen = Optional.empty();

        Proof() {
            frame.getStyleClass().add("proof-frame");
            HBox said = Parts.row(4, tick, word);
            said.setMinWidth(0);
            VBox caption = new VBox(-2, name, said);
            caption.getStyleClass().add("proof-caption");
            content = new VBox(1, frame, caption);
            setText(null);
            setOnMouseClicked(
                    event -> Optional.ofNullable(getItem()).ifPresent(file -> session.goTo(Optional.of(file))));
            session.photoProperty().addListener((observed, before, now) -> markCurrent());
            sceneProperty().addListener((observed, before, now) -> refreshCrop());
            session.shootProperty().addListener((observed, before, now) -> refreshCrop());
            session.readingProperty().addListener((observed, before, now) -> refreshCrop());
            session.formatProperty().addListener((observed, before, now) -> refreshCrop());
        }

        @Override
        protected void updateItem(String file, boolean empty) {
            super.updateItem(file, empty);
            seen = Optional.empty();
            markCurrent();
            setGraphic(empty ? null : content);
            if (empty) {
                thumb.clear();
            } else {
                refreshCrop();
            }
        }

        /** A name takes no more room than its picture. */
        private void keepTo(double width) {
            content.setMinWidth(width);
            content.setPrefWidth(width);
            content.setMaxWidth(width);
        }

        private void markCurrent() {
            boolean isCurrent =
                    getItem() != null && session.photoProperty().get().equals(Optional.of(getItem()));
            pseudoClassStateChanged(CURRENT, isCurrent);
        }

        private void refreshCrop() {
            Optional<Photo> photo = Optional.ofNullable(getItem())
                    .flatMap(file -> session.shoot().find(file));
            if (photo.isEmpty() || getScene() == null) {
                return;
            }
            Parts.setName(name, photo.get().file());
            setAccessibleText(photo.get().file());
            if (session.isReady(photo.get())) {
                PhotoCrop crop = session.crop(photo.get(), session.format());
                boolean isPlain = crop.state() == PhotoCrop.State.UNTOUCHED || crop.state() == PhotoCrop.State.FOLLOW;
                word.setText(isPlain ? "" : Words.of("state", crop.state()));
                tick.setVisible(crop.isDone());
                tick.setManaged(crop.isDone());
                if (!seen.equals(Optional.of(crop))) {
                    thumb.show(crop, WIDEST, HEIGHT);
                    keepTo(thumb.getMaxWidth() + FRAME);
                    seen = Optional.of(crop);
                }
            } else {
                Optional<PhotoProblem> problem = session.problem(photo.get());
                thumb.clear();
                frame.setMinSize(HEIGHT, HEIGHT);
                keepTo(HEIGHT + FRAME);
                tick.setVisible(false);
                tick.setManaged(false);
                word.setText(problem.map(Proof::word).orElse(""));
            }
        }

        private static String word(PhotoProblem problem) {
            boolean isRead = problem.reason() == PhotoProblem.Reason.NOTHING_LEFT;
            return Words.get(isRead ? "state.nothing_left" : "state.unreadable");
        }
    }
}
