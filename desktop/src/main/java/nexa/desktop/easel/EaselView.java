package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import nexa.core.geometry.Segment;
import nexa.core.level.Trace;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.desk.AroundSection;
import nexa.desktop.desk.CropSection;
import nexa.desktop.desk.Desk;
import nexa.desktop.desk.EaselSettings;
import nexa.desktop.desk.GuideSection;
import nexa.desktop.desk.LevelSection;
import nexa.desktop.desk.StepSection;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.Standing;
import nexa.desktop.stage.PhotoLayer;
import nexa.desktop.stage.PhotoStage;
import nexa.imaging.decode.PhotoProblem;
import nexa.store.KeptFormats;
import nexa.store.Preferences;

/** The easel: one photo, large, with its crop in the format worked in, always live. */
public final class EaselView extends View {
    private static final double BELOW_REASON = 44;

    private final ShootSession session;
    private final PhotoStage stage;
    private final StageHand hand;
    private final StageHint hint;
    private final TracedLines traced;
    private final LinesHand lines;
    private final ShapeHands shape;
    private final FindLevel find;
    private final TrimHand trim;
    private final ProposalStrip proposals;
    private final StageLooks looks;
    private final EaselKeys keys;
    private final Desk desk;
    private final StepSection step;
    private final PhotoTag tag = new PhotoTag();
    /** What takes seconds is looked for where somebody stays, not where one steps past. */
    private final PauseTransition resting = new PauseTransition(Duration.millis(700));

    private final Button again;
    private final Button untrim;
    private final FormatsColumn formats;
    private final ProofStrip proofs;

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
        EaselSettings settings = new EaselSettings(preferences);
        this.stage = new PhotoStage(session.pictures());
        this.hand = new StageHand(session, stage, new Hearing());
        this.hint = new StageHint(stage, hand.tool());
        Reshaping reshaping = new Reshaping(session, hand.gestures(), this::say);
        this.lines = new LinesHand(stage, hand, reshaping, this::say, this::markByLines);
        this.traced = new TracedLines(session, stage, hand, lines);
        this.find = new FindLevel(session, stage, hand, hint, reshaping, lines::showOwn, this::say);
        this.shape = new ShapeHands(session, stage, hand, hint, reshaping, lines, overlays, this::say, messages);
        this.trim = shape.trim();
        this.proposals = new ProposalStrip(session, stage, hand, settings, this::say);
        PhotoActions actions = new PhotoActions(session, overlays, hand::letGoOfAll);
        this.step = new StepSection(actions);
        this.desk = new Desk(
                new LevelSection(new Levelling(stage, hand, find, actions, messages)),
                shape.shape(),
                shape.colour(),
                new GuideSection(settings, () -> session.shoot().formats()),
                new CropSection(new CropNumbers(session, stage, hand.gestures(), overlays, this::say, messages)),
                step);
        this.looks = new StageLooks(session, settings, stage, hand.gestures(), desk.guides());
        this.keys = new EaselKeys(
                session,
                stage,
                hand,
                find,
                trim,
                shape.perspective(),
                shape.beyond(),
                lines,
                proposals,
                this::forgetOffers,
                actions,
                settings,
                looks);
        this.again = Parts.button("again.read", actions::readAgain);
        this.untrim = Parts.button("again.untrim", actions::untrim);
        this.formats = new FormatsColumn(
                session, kept, overlays, hand.gestures()::turnCrop, new AroundSection(settings).node());
        this.proofs = new ProofStrip(session);
        node.setTop(proofs.node());
        node.setLeft(formats.node());
        node.setCenter(work());
        new StageMenu(session, hand, find, proposals, shape.beyond(), actions).listenTo(stage);
        listen();
        tellStanding();
    }

    private BorderPane work() {
        resting.setOnFinished(event ->
                session.photo().ifPresent(shown -> session.lookAtPixels(List.of(shown), List.of(session.format()))));
        stage.overlay().onLaid(() -> tag.giveWay(stage));
        again.setId("read-again");
        untrim.setId("untrim");
        for (Button wayOut : List.of(again, untrim)) {
            wayOut.setTranslateY(BELOW_REASON);
            wayOut.setVisible(false);
        }
        StackPane place = new StackPane(
                stage,
                tag,
                hint.node(),
                traced.node(),
                lines.node(),
                shape.bent().node(),
                shape.beyond().bar(),
                again,
                untrim);
        place.setMinSize(0, 0);
        BorderPane work = new BorderPane(place);
        work.setBottom(new VBox(proposals.node(), desk.node()));
        return work;
    }

    private void listen() {
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.standingProperty(), this::tellStanding);
        subscriptions.listen(session.formatProperty(), this::tellStanding);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(session.lenses().readProperty(), this::refresh);
        subscriptions.listen(session.photoProperty(), this::refreshAnew);
        subscriptions.listen(session.formatProperty(), this::refreshAnew);
    }

    /** What the hand does is shown on the desk too. */
    private final class Hearing implements StageHand.Listener {
        @Override
        public void begins() {
            proposals.close();
        }

        @Override
        public void changed(PhotoCrop draft) {
            desk.show(draft);
            shape.beyond().show(draft);
            looks.showGuides();
        }

        @Override
        public void ended() {
            traced.place();
            looks.showGuides();
            refresh();
        }

        @Override
        public void say(String words) {
            EaselView.this.say(words);
        }

        @Override
        public void traced(Trace trace, List<Segment> inPhoto) {
            traced.show(trace, inPhoto);
        }
    }

    private void say(String words) {
        hint.say(words);
        desk.level().markTracing(hand.tools().isTracing());
        markByLines();
    }

    private void markByLines() {
        shape.perspectivePage()
                .markByLines(lines.isShown() || hand.tools().tracing().isForPerspective());
    }

    @Override
    public void shown() {
        refresh();
        formats.refresh();
        proofs.showCurrent();
        stage.requestFocus();
    }

    /** What was looked for is not wanted any more, and what was offered does not stand. */
    private void forgetOffers() {
        find.forget();
        trim.forget();
        proposals.close();
    }

    private void refreshAnew() {
        forgetOffers();
        lines.putAway();
        hand.beginAnew();
        refresh();
        looks.showGuides();
    }

    private void refresh() {
        if (node.getScene() == null || hand.gestures().isBusy()) {
            return;
        }
        Optional<PhotoCrop> crop = session.crop();
        proposals.refresh();
        if (crop.isPresent()) {
            stage.show(crop.get());
            stage.overlay().onPhoto().show(PhotoLayer.Spot.of(crop.get().photo()));
            desk.show(crop.get());
            shape.beyond().show(crop.get());
            lines.refresh();
            step.show(session.shoot(), crop.get(), session.step(crop.get().photo(), session.format()));
            readAhead();
        } else {
            stage.showNothing(whyNothing());
            desk.clear();
            shape.beyond().clear();
            step.clear();
        }
        desk.level().markTracing(hand.tools().isTracing());
        Optional<Photo> photo = session.photo();
        resting.playFromStart();
        tag.show(
                photo,
                crop,
                photo.map(shown -> session.readingProperty().get().facts().get(shown.file())));
        tag.giveWay(stage);
        Optional<PhotoProblem> problem = photo.flatMap(session::problem);
        untrim.setVisible(problem.filter(found -> found.reason() == PhotoProblem.Reason.NOTHING_LEFT)
                .isPresent());
        again.setVisible(problem.isPresent() && !untrim.isVisible());
    }

    private String whyNothing() {
        Optional<Photo> photo = session.photo();
        if (photo.isEmpty()) {
            return Words.get("easel.empty");
        }
        return session.problem(photo.get()).map(Words::say).orElse(Words.get("easel.reading"));
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

    @Override
    public boolean pressed(KeyEvent key) {
        return keys.pressed(key);
    }

    @Override
    public boolean released(KeyEvent key) {
        return keys.released(key);
    }

    @Override
    public void finish() {
        forgetOffers();
        hand.letGoOfAll();
        hand.tools().putDown();
    }

    @Override
    public void dispose() {
        super.dispose();
        resting.stop();
        looks.dispose();
        formats.dispose();
        proofs.dispose();
        stage.dispose();
    }
}
