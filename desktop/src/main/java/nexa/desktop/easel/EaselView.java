package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import nexa.core.guide.Divisions;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.PhotoNames;
import nexa.desktop.shell.View;
import nexa.desktop.shell.Words;
import nexa.imaging.read.PhotoFacts;
import nexa.imaging.read.PhotoProblem;
import nexa.imaging.read.Picture;
import nexa.imaging.read.PictureLevel;
import nexa.imaging.read.PictureLibrary;

/** The easel: one photo, large, with its crop in the format worked in, always live. */
public final class EaselView extends View {
    private final ShootSession session;
    private final Room room;
    private final Hand hand;
    private final Desk desk;
    private final Label photoName = Parts.label("", "photo-tag-name");
    private final Label photoState = Parts.label("");
    private final HBox photoTag = new HBox(8, photoName, photoState);
    private final FormatsColumn formats;
    private final ProofStrip proofs;
    private MatKind mat = MatKind.PAPER;
    private GuideShow guideShow = GuideShow.STEADY;

    public EaselView(ShootSession session) {
        super("easel");
        this.session = session;
        this.room = new Room(session.pictures(), this::listenToHandle);
        this.hand = new Hand(session, room, this::draftChanged, this::gestureEnded);
        this.desk = new Desk(this::setMat, this::setGuideShow);
        this.formats = new FormatsColumn(session, hand::turnCrop);
        this.proofs = new ProofStrip(session);
        photoTag.getStyleClass().add("photo-tag");
        photoTag.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        StackPane.setAlignment(photoTag, Pos.TOP_RIGHT);
        StackPane place = new StackPane(room, photoTag);
        place.setMinSize(0, 0);
        BorderPane work = new BorderPane(place);
        work.setBottom(desk.node());
        node.setTop(proofs.node());
        node.setLeft(formats.node());
        node.setCenter(work);
        hand.listenTo(room);
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(session.photoProperty(), this::refreshAnew);
        subscriptions.listen(session.formatProperty(), this::refreshAnew);
        setMat(mat);
        setGuideShow(guideShow);
        tellStanding();
    }

    private void listenToHandle(StackPane handle) {
        handle.setOnMousePressed(event -> hand.takeHandle(handle, event));
        handle.setOnMouseDragged(event -> hand.dragHandle(event));
        handle.setOnMouseReleased(event -> hand.letGo());
    }

    @Override
    public void shown() {
        refresh();
        formats.refresh();
        proofs.showCurrent();
        room.requestFocus();
    }

    /** Whatever led to another photo or format: what the hand was still at belongs to the one before, and is kept. */
    private void refreshAnew() {
        hand.finish();
        refresh();
    }

    private void refresh() {
        tellStanding();
        if (node.getScene() == null || hand.isBusy()) {
            return;
        }
        Optional<PhotoCrop> crop = session.crop();
        if (crop.isPresent()) {
            room.show(crop.get());
            desk.show(crop.get());
            photoState.setText(Words.get(crop.get().isDone() ? "state.done" : "state.notDone"));
            readAhead();
        } else {
            room.showNothing(whyNothing());
            desk.clear();
            photoState.setText("");
        }
        photoName.setText(
                session.photo().map(photo -> PhotoNames.base(photo.file())).orElse(""));
        photoTag.setVisible(session.photo().isPresent());
        Optional<PhotoFacts> facts = session.photo()
                .map(photo -> session.readingProperty().get().facts().get(photo.file()));
        desk.showTaken(facts);
    }

    private String whyNothing() {
        Optional<Photo> photo = session.photo();
        if (photo.isEmpty()) {
            return Words.get("easel.empty");
        }
        PhotoProblem problem =
                session.readingProperty().get().problems().get(photo.get().file());
        return problem == null ? Words.get("easel.reading") : problem.getMessage();
    }

    private void tellStanding() {
        List<Photo> ready =
                session.shoot().photos().stream().filter(session::isReady).toList();
        long done = ready.stream()
                .filter(photo -> photo.entry(session.formatProperty().get()).isDone())
                .count();
        standing.set(Words.get("easel.standing", done, ready.size()));
    }

    /** The neighbours of this photo are likely to be wanted next. */
    private void readAhead() {
        List<Photo> photos = session.shoot().photos();
        int here = session.photo().map(photos::indexOf).orElse(-1);
        for (int next : new int[] {here - 1, here + 1}) {
            if (next >= 0 && next < photos.size() && session.isReady(photos.get(next))) {
                boolean isThere = session.pictures()
                        .ifReady(photos.get(next), PictureLevel.PREVIEW)
                        .isPresent();
                if (!isThere) {
                    session.pictures().photo(photos.get(next), PictureLevel.PREVIEW, false, new Unheard());
                }
            }
        }
    }

    /** Reading ahead fills the library; nobody waits for it. */
    private static final class Unheard implements PictureLibrary.Listener {
        @Override
        public void ready(Picture picture) {}

        @Override
        public void failed(PhotoProblem problem) {}
    }

    private void draftChanged(PhotoCrop draft) {
        desk.show(draft);
        showGuide();
    }

    private void gestureEnded() {
        showGuide();
        refresh();
    }

    private void setMat(MatKind kind) {
        mat = kind;
        room.overlay().setMat(kind);
        desk.mark(kind);
    }

    private void setGuideShow(GuideShow show) {
        guideShow = show;
        desk.mark(show);
        showGuide();
    }

    private void showGuide() {
        boolean isSeen = guideShow == GuideShow.STEADY || guideShow == GuideShow.MOVING && hand.isBusy();
        room.overlay().setGuide(isSeen ? Divisions.THIRDS : null);
    }

    private void doneAndOn() {
        hand.finish();
        session.photo().filter(session::isReady).ifPresent(photo -> {
            String format = session.formatProperty().get();
            session.edit(
                    Edit.Kind.DONE,
                    shoot -> shoot.with(
                            photo.file(),
                            before -> before.withEntry(
                                    format, before.entry(format).withDone(true))));
            session.goTo(Optional.of(nextNotDone(photo, format).orElse(photo.file())));
        });
    }

    private Optional<String> nextNotDone(Photo from, String format) {
        List<Photo> photos = session.shoot().photos();
        int here = photos.stream().map(Photo::file).toList().indexOf(from.file());
        for (int i = 1; i < photos.size(); i++) {
            Photo next = photos.get((here + i) % photos.size());
            if (session.isReady(next) && !next.entry(format).isDone()) {
                return Optional.of(next.file());
            }
        }
        return Optional.empty();
    }

    private void step(int places) {
        hand.finish();
        session.step(places);
    }

    private void choose(int number) {
        if (number <= session.shoot().formats().size()) {
            hand.finish();
            session.formatProperty()
                    .set(session.shoot().formats().get(number - 1).id());
        }
    }

    @Override
    public boolean pressed(KeyEvent key) {
        if (key.isControlDown() || key.isAltDown() || key.isMetaDown()) {
            return false;
        }
        if (key.getCode().isDigitKey()
                && !key.getText().isEmpty()
                && key.getText().charAt(0) > '0') {
            choose(key.getText().charAt(0) - '0');
            return true;
        }
        boolean isOnButton = key.getTarget() instanceof ButtonBase;
        switch (key.getCode()) {
            case PAGE_DOWN -> step(1);
            case PAGE_UP -> step(-1);
            case W -> hand.turnCrop();
            case HOME -> hand.largest();
            case PLUS, EQUALS, ADD -> hand.tighten(1);
            case MINUS, SUBTRACT -> hand.tighten(-1);
            case M -> setMat(mat.next());
            case V -> setGuideShow(guideShow.next());
            case B -> showBare(true);
            case U -> room.setUncropped(true);
            case LEFT -> hand.arrow(-1, 0, key);
            case RIGHT -> hand.arrow(1, 0, key);
            case UP -> hand.arrow(0, -1, key);
            case DOWN -> hand.arrow(0, 1, key);
            case ENTER -> {
                if (isOnButton) {
                    return false;
                }
                doneAndOn();
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    @Override
    public boolean released(KeyEvent key) {
        switch (key.getCode()) {
            case B -> showBare(false);
            case U -> room.setUncropped(false);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void showBare(boolean bare) {
        room.overlay().setTools(!bare);
        room.overlay().setMat(bare ? MatKind.NONE : mat);
        room.setBare(bare);
    }

    @Override
    public void finish() {
        hand.finish();
    }

    @Override
    public void dispose() {
        super.dispose();
        formats.dispose();
        proofs.dispose();
        room.dispose();
    }
}
