package nexa.desktop.easel;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import nexa.core.crop.TypedCrop;
import nexa.core.format.Format;
import nexa.core.format.Paper;
import nexa.core.guide.Guide;
import nexa.core.guide.GuideKind;
import nexa.core.guide.Way;
import nexa.core.level.Trace;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Reorient;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.desk.AroundSection;
import nexa.desktop.desk.CropSection;
import nexa.desktop.desk.Desk;
import nexa.desktop.desk.EaselSettings;
import nexa.desktop.desk.GuideSection;
import nexa.desktop.desk.GuideShow;
import nexa.desktop.desk.LevelSection;
import nexa.desktop.desk.PrintHelp;
import nexa.desktop.desk.StartKind;
import nexa.desktop.desk.StepSection;
import nexa.desktop.desk.Vernier;
import nexa.desktop.parts.FormatWords;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.GuideLayer;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.Standing;
import nexa.desktop.stage.MatKind;
import nexa.desktop.stage.PhotoLayer;
import nexa.desktop.stage.PhotoStage;
import nexa.imaging.decode.PhotoProblem;
import nexa.imaging.facts.PhotoFacts;
import nexa.store.KeptFormats;
import nexa.store.Preferences;

/** The easel: one photo, large, with its crop in the format worked in, always live. */
public final class EaselView extends View {
    private static final int FINE_LINES = 17;
    private static final double BELOW_TOP = 12;
    private static final double BY_POINTER = 18;
    private static final double BELOW_REASON = 44;
    /** How far the bar of the traced lines is from the edges of the stage. */
    private static final double BAR_FROM_EDGE = 44;
    /** PhotoStage for the longest hint beside the pointer. */
    private static final double HINT_ROOM = 300;

    private final ShootSession session;
    private final EaselSettings settings;
    private final Overlays overlays;
    private final Consumer<String> messages;
    private final PhotoStage stage;
    private final CropGestures hand;
    private final Tools tools;
    private final Desk desk;
    private final StepSection step;
    private final PhotoActions actions;
    private final Label photoName = Parts.name("photo-tag-name");
    private final Label photoState = Parts.label("");
    private final Label camera = Parts.label("", "quiet");
    private final HBox photoTag = new HBox(8, photoName, photoState, camera);
    private final Label hint = Parts.label("", "stage-hint");
    private final TraceBar traceBar;
    private final Button again;
    private final FormatsColumn formats;
    private final ProofStrip proofs;
    private boolean isBare;

    /**
     * The easel of a shoot.
     *
     * @param overlays where panels are shown
     * @param messages hears what the photographer is to be told
     */
    public EaselView(
            ShootSession session,
            Preferences preferences,
            KeptFormats kept,
            Overlays overlays,
            Consumer<String> messages) {
        super("easel");
        this.session = session;
        this.settings = new EaselSettings(preferences);
        this.overlays = overlays;
        this.messages = messages;
        this.stage = new PhotoStage(session.pictures(), this::listenToHandle);
        this.hand = new CropGestures(session, stage, this::draftChanged, this::gestureEnded);
        this.actions = new PhotoActions(session, overlays, this::letGoOfAll);
        this.step = new StepSection(actions);
        this.again = Parts.button("again.read", actions::readAgain);
        this.traceBar = new TraceBar(new Traced());
        this.tools = new Tools(session, stage, hand, this::hint, this::showTrace);
        this.desk = new Desk(
                new LevelSection(new Levelling()),
                new GuideSection(settings, () -> session.shoot().formats()),
                new CropSection(new Numbers()),
                step);
        this.formats = new FormatsColumn(session, kept, overlays, hand::turnCrop, new AroundSection(settings).node());
        this.proofs = new ProofStrip(session);
        node.setTop(proofs.node());
        node.setLeft(formats.node());
        node.setCenter(work());
        hand.listenTo(stage);
        stage.overlay().onPhoto().onLaid(this::placeTraceBar);
        ContextMenu menu = new ContextMenu();
        stage.setOnContextMenuRequested(event -> {
            menu.getItems().setAll(offers());
            menu.show(stage, event.getScreenX(), event.getScreenY());
        });
        listen();
        stage.setHoldsPhoto(settings.holdsPhoto.get());
        showMat();
        showGuides();
        showSurround();
        tellStanding();
    }

    private BorderPane work() {
        photoTag.getStyleClass().add("photo-tag");
        hint.setMouseTransparent(true);
        hint.setVisible(false);
        StackPane.setMargin(traceBar, new Insets(BAR_FROM_EDGE));
        for (Region part : List.of(photoTag, hint)) {
            part.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        }
        StackPane.setAlignment(photoTag, Pos.TOP_RIGHT);
        StackPane.setAlignment(hint, Pos.TOP_CENTER);
        again.setId("read-again");
        again.setTranslateY(BELOW_REASON);
        again.setVisible(false);
        StackPane place = new StackPane(stage, photoTag, hint, traceBar, again);
        place.setMinSize(0, 0);
        BorderPane work = new BorderPane(place);
        work.setBottom(desk.node());
        return work;
    }

    private void listen() {
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.standingProperty(), this::tellStanding);
        subscriptions.listen(session.formatProperty(), this::tellStanding);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(session.photoProperty(), this::refreshAnew);
        subscriptions.listen(session.formatProperty(), this::refreshAnew);
        subscriptions.listen(settings.guide, this::showGuides);
        subscriptions.listen(settings.second, this::showGuides);
        subscriptions.listen(settings.show, this::showGuides);
        subscriptions.listen(settings.gridLines, this::showGuides);
        subscriptions.listen(settings.papers, this::showGuides);
        subscriptions.listen(settings.notOutlined, this::showGuides);
        subscriptions.listen(settings.waysProperty(), this::showGuides);
        subscriptions.listen(settings.mat, this::showMat);
        subscriptions.listen(settings.strength, this::showMat);
        subscriptions.listen(settings.surround, this::showSurround);
        subscriptions.listen(settings.holdsPhoto, () -> {
            hand.finish();
            stage.setHoldsPhoto(settings.holdsPhoto.get());
        });
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
        stage.requestFocus();
    }

    /** Whatever led to another photo or format: what the hand was still at belongs to the one before, and is kept. */
    private void refreshAnew() {
        hand.finish();
        tools.putDown();
        tools.tracing().clear();
        hint("");
        refresh();
        showGuides();
    }

    private void refresh() {
        if (node.getScene() == null || hand.isBusy()) {
            return;
        }
        Optional<PhotoCrop> crop = session.crop();
        if (crop.isPresent()) {
            stage.show(crop.get());
            stage.overlay().onPhoto().show(spot(crop.get().photo()));
            desk.show(crop.get());
            step.show(session.shoot(), crop.get(), session.step(crop.get().photo(), session.format()));
            photoState.setText(Words.get(crop.get().isDone() ? "state.done" : "state.notDone"));
            readAhead();
        } else {
            stage.showNothing(whyNothing());
            desk.clear();
            step.clear();
            photoState.setText("");
        }
        desk.level().markTracing(tools.inHand().equals(Optional.of(Tools.Tool.TRACE)));
        Parts.setName(photoName, session.photo().map(Photo::file).orElse(""));
        photoTag.setVisible(session.photo().isPresent());
        again.setVisible(session.photo().filter(session::hasProblem).isPresent());
        showCamera();
    }

    private void showCamera() {
        Optional<PhotoFacts> facts = session.photo()
                .map(photo -> session.readingProperty().get().facts().get(photo.file()));
        camera.setText(facts.map(CameraWords::exposure).orElse(""));
        String gear = facts.map(CameraWords::gear).orElse("");
        photoTag.getChildren().get(2).setVisible(!camera.getText().isEmpty());
        camera.setManaged(!camera.getText().isEmpty());
        camera.setTooltip(gear.isEmpty() ? null : Parts.tooltip(gear));
        camera.setAccessibleHelp(gear);
    }

    private static Optional<PhotoLayer.Spot> spot(Photo photo) {
        return photo.subject()
                .map(subject -> new PhotoLayer.Spot(
                        subject.in(photo.space()),
                        subject.radiusIn(photo.space()).orElse(0)));
    }

    private String whyNothing() {
        Optional<Photo> photo = session.photo();
        if (photo.isEmpty()) {
            return Words.get("easel.empty");
        }
        PhotoProblem problem =
                session.readingProperty().get().problems().get(photo.get().file());
        return problem == null ? Words.get("easel.reading") : Words.say(problem);
    }

    private void tellStanding() {
        Standing now = session.standingProperty().get();
        standing.set(
                Words.get("easel.standing", now.done(session.formatProperty().get()), now.ready()));
    }

    /** The neighbours of this photo are likely to be wanted next. */
    private void readAhead() {
        List<Photo> photos = session.photos();
        int here = session.photo().map(photos::indexOf).orElse(-1);
        for (int next : new int[] {here - 1, here + 1}) {
            if (next >= 0 && next < photos.size() && session.isReady(photos.get(next))) {
                stage.prepare(session.crop(photos.get(next), session.format()));
            }
        }
    }

    private void draftChanged(PhotoCrop draft) {
        desk.show(draft);
        showGuides();
    }

    private void gestureEnded() {
        placeTraceBar();
        showGuides();
        refresh();
    }

    /** What the traced lines say, where none of them lies under it. */
    private void showTrace(Trace trace) {
        traceBar.show(trace);
        placeTraceBar();
    }

    private void placeTraceBar() {
        if (!traceBar.isVisible() || hand.isBusy()) {
            return;
        }
        traceBar.applyCss();
        StackPane.setAlignment(traceBar, stage.overlay().onPhoto().clearest(traceBar, BAR_FROM_EDGE));
    }

    /** Says something by the pointer while it draws, else above the picture. */
    private void hint(String words) {
        hint.setText(words);
        hint.setVisible(!words.isEmpty());
        boolean isByPointer = hand != null && hand.isDrawing();
        StackPane.setAlignment(hint, isByPointer ? Pos.TOP_LEFT : Pos.TOP_CENTER);
        hint.setTranslateX(isByPointer ? Math.min(hand.pointer().x() + BY_POINTER, stage.getWidth() - HINT_ROOM) : 0);
        hint.setTranslateY(
                isByPointer ? Math.min(hand.pointer().y() + BY_POINTER, stage.getHeight() - 2 * BY_POINTER) : BELOW_TOP);
        desk.level().markTracing(tools != null && tools.inHand().equals(Optional.of(Tools.Tool.TRACE)));
    }

    private void showMat() {
        stage.overlay().setMat(isBare ? MatKind.NONE : settings.mat.get(), settings.strength.get() / 100.0);
    }

    private void showSurround() {
        stage.getStyleClass().removeIf(style -> style.startsWith("surround-"));
        stage.getStyleClass().add("surround-" + settings.surround.get().name().toLowerCase(Locale.ROOT));
    }

    /** While the photo turns, a fine grid; else what is chosen, if it is to be seen now. */
    private void showGuides() {
        desk.guides().refresh();
        if (hand.isTurning()) {
            stage.overlay().guides().show(List.of(GuideKind.GRID.laid(Way.UNTURNED, FINE_LINES)), List.of());
            stage.overlay().guides().setFine(true);
            return;
        }
        stage.overlay().guides().setFine(false);
        GuideShow show = settings.show.get();
        boolean isSeen = show == GuideShow.STEADY || show == GuideShow.MOVING && hand.isBusy();
        List<Guide> guides = isSeen ? settings.guides() : List.of();
        boolean hasOutlines = isSeen && settings.isShown(GuideKind.OUTLINES);
        stage.overlay().guides().show(guides, hasOutlines ? outlines() : List.of());
    }

    /** The shoot's other formats, and the papers chosen. */
    private List<GuideLayer.Outline> outlines() {
        List<GuideLayer.Outline> outlines = new ArrayList<>();
        for (Format format : session.shoot().formats()) {
            if (format.ratio().isFixed()
                    && settings.isOutlined(format.id())
                    && !format.id().equals(session.formatProperty().get())) {
                outlines.add(new GuideLayer.Outline(
                        format.name(),
                        format.ratio().value(),
                        () -> session.formatProperty().set(format.id())));
            }
        }
        settings.papers.get().stream()
                .sorted()
                .map(Paper.COMMON::get)
                .forEach(paper ->
                        outlines.add(new GuideLayer.Outline(FormatWords.paper(paper), paper.ratio(), () -> {})));
        return outlines;
    }

    /** What the desk's level part asks for. */
    private final class Levelling implements LevelSection.Actions {
        @Override
        public void turned(double degrees, boolean isHeld) {
            tools.tracing().clear();
            hand.turned(degrees, isHeld);
        }

        @Override
        public void letGo() {
            hand.finish();
        }

        @Override
        public void trace(boolean isOn) {
            tools.take(Tools.Tool.TRACE);
            stage.requestFocus();
        }

        @Override
        public void reorient(Reorient how) {
            actions.reorient(how);
        }

        @Override
        public void startAgain(StartKind what) {
            actions.startAgain(what);
        }

        @Override
        public void notAnAngle(String text) {
            messages.accept(Words.get("level.notAnAngle", text));
        }
    }

    /** What the desk's numbers ask for. */
    private final class Numbers implements CropSection.Actions {
        @Override
        public void typed(TypedCrop.Field field, double pixels) {
            hand.finish();
            session.crop().ifPresent(crop -> {
                boolean keepsRatio = !crop.format().ratio().isFree();
                TypedCrop.Typed typed = TypedCrop.type(crop.outline(), crop.crop(), field, pixels, keepsRatio);
                hand.commit(Edit.Kind.TYPE, typed.crop());
                hint(typed.isLimited() ? Words.get("desk.limited") : "");
            });
            stage.requestFocus();
        }

        @Override
        public void notALength(String text) {
            messages.accept(Words.get("desk.notALength", text));
        }

        @Override
        public void printHelp() {
            hand.finish();
            session.crop().ifPresent(crop -> overlays.show(new PrintHelp(crop, overlays::close)));
        }
    }

    /** What the traced lines' bar asks for. */
    private final class Traced implements TraceBar.Actions {
        @Override
        public void remove(int index) {
            tools.tracing().remove(index);
        }

        @Override
        public void choose(int index) {
            tools.tracing().choose(index);
        }

        @Override
        public void putOnGuide() {
            tools.tracing().putOnGuide(hand);
        }

        @Override
        public void forget() {
            tools.tracing().clear();
            hint("");
            stage.requestFocus();
        }
    }

    /** What can be done with the photo under the pointer. */
    private List<MenuItem> offers() {
        List<MenuItem> items = new ArrayList<>(List.of(
                Parts.item(Words.get("menu.trace"), () -> tools.take(Tools.Tool.TRACE)),
                Parts.item(Words.get("menu.draw"), () -> tools.take(Tools.Tool.DRAW)),
                Parts.item(Words.get("menu.largest"), hand::largest),
                Parts.item(Words.get("menu.turn"), hand::turnCrop),
                Parts.item(Words.get("spot.set"), () -> tools.take(Tools.Tool.SUBJECT))));
        if (session.photo().flatMap(Photo::subject).isPresent()) {
            items.add(Parts.item(Words.get("spot.put"), tools::putSubjectOnCrossing));
            items.add(Parts.item(Words.get("spot.clear"), tools::clearSubject));
        }
        if (session.photo().filter(session::hasProblem).isPresent()) {
            items.add(Parts.item(Words.get("menu.again"), actions::readAgain));
        }
        items.add(Parts.item(Words.get("menu.select"), () -> actions.mark(Mark.SELECT)));
        items.add(Parts.item(Words.get("menu.out"), () -> actions.mark(Mark.OUT)));
        return items;
    }

    /** What the hand is at, and the lines traced, belong to the photo as it was. */
    private void letGoOfAll() {
        hand.finish();
        tools.tracing().clear();
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
        if (key.isControlDown() && (key.getCode() == KeyCode.LEFT || key.getCode() == KeyCode.RIGHT)) {
            actions.reorient(key.getCode() == KeyCode.LEFT ? Reorient.LEFT : Reorient.RIGHT);
            return true;
        }
        boolean isModified = key.isControlDown() || key.isAltDown() || key.isMetaDown();
        if (isModified || isForControl(key)) {
            return false;
        }
        if (key.getCode().isDigitKey()
                && !key.getText().isEmpty()
                && key.getText().charAt(0) > '0') {
            choose(key.getText().charAt(0) - '0');
            return true;
        }
        return pressedForPhoto(key) || pressedForLooks(key);
    }

    /** Some controls need keys for themselves. */
    private static boolean isForControl(KeyEvent key) {
        boolean isArrow = key.getCode().isArrowKey();
        boolean isAction = key.getCode() == KeyCode.ENTER || key.getCode() == KeyCode.SPACE;
        Object target = key.getTarget();
        return isArrow && target instanceof Vernier
                || (isArrow || isAction) && (target instanceof Slider || target instanceof ComboBoxBase<?>)
                || isAction && target instanceof ButtonBase;
    }

    private boolean pressedForPhoto(KeyEvent key) {
        double turn = key.isShiftDown() ? 1 : 0.1;
        switch (key.getCode()) {
            case PAGE_DOWN -> step(1);
            case PAGE_UP -> step(-1);
            case W -> hand.turnCrop();
            case HOME -> hand.largest();
            case PLUS, EQUALS, ADD -> hand.tighten(1);
            case MINUS, SUBTRACT -> hand.tighten(-1);
            case COMMA, LESS -> hand.turnBy(-turn);
            case PERIOD, GREATER -> hand.turnBy(turn);
            case L -> tools.take(Tools.Tool.TRACE);
            case N -> tools.take(Tools.Tool.DRAW);
            case P -> tools.take(Tools.Tool.SUBJECT);
            case C -> actions.carry();
            case S -> actions.mark(Mark.SELECT);
            case DELETE -> actions.mark(Mark.OUT);
            case LEFT -> hand.arrow(-1, 0, key);
            case RIGHT -> hand.arrow(1, 0, key);
            case UP -> hand.arrow(0, -1, key);
            case DOWN -> hand.arrow(0, 1, key);
            case ENTER -> {
                if (hand.hasTool()) {
                    hand.enterTool(key);
                } else {
                    actions.doneAndOn();
                }
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private boolean pressedForLooks(KeyEvent key) {
        switch (key.getCode()) {
            case M -> settings.mat.set(settings.mat.get().next());
            case V -> settings.show.set(settings.show.get().next());
            case G -> settings.step(key.isShiftDown() ? -1 : 1);
            case T -> settings.turn();
            case Q -> settings.holdsPhoto.set(!settings.holdsPhoto.get());
            case DIGIT0, NUMPAD0 -> {
                hand.finish();
                stage.toggleZoom(hand.pointer());
            }
            case B -> showBare(true);
            case U -> stage.setUncropped(true);
            case SPACE -> hand.setMovesView(true);
            case ESCAPE -> {
                tools.putDown();
                tools.tracing().clear();
                hint("");
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
            case U -> stage.setUncropped(false);
            case SPACE -> hand.setMovesView(false);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void showBare(boolean bare) {
        isBare = bare;
        stage.overlay().setTools(!bare);
        showMat();
        stage.setBare(bare);
    }

    @Override
    public void finish() {
        hand.finish();
        tools.putDown();
    }

    @Override
    public void dispose() {
        super.dispose();
        formats.dispose();
        proofs.dispose();
        stage.dispose();
    }
}
