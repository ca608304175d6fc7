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
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.Tally;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.EaselTool;
import nexa.desktop.tool.PhotoActions;
import nexa.desktop.tool.guide.EaselSettings;
import nexa.imaging.decode.PhotoProblem;
import nexa.store.user.KeptFormats;
import nexa.store.user.Preferences;

/** The easel: one photo, large, with its crop in the format worked in, always live. */
public final class EaselView extends View {
    private static final double BELOW_REASON = 44;

    private final ShootSession session;
    private final Easel easel;
    private final EaselTools tools;
    private final EaselKeys keys;
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
     * @param briefs shows the briefs
     * @param messages hears what the photographer is to be told
     */
    public EaselView(
            ShootSession session,
            Preferences preferences,
            KeptFormats kept,
            Overlays overlays,
            Runnable briefs,
            Consumer<String> messages) {
        super("easel");
        this.session = session;
        this.easel = new Easel(session, overlays, messages, this::refresh);
        PhotoActions actions = new PhotoActions(easel);
        this.step = new StepSection(actions);
        this.tools = new EaselTools(easel, actions, new EaselSettings(preferences), step.part());
        this.keys = new EaselKeys(easel, tools.propose(), actions);
        this.again = Parts.button("again.read", actions::readAgain);
        this.untrim = Parts.button("again.untrim", actions::untrim);
        this.formats = new FormatsColumn(
                session,
                kept,
                overlays,
                briefs,
                easel.gestures()::turnCrop,
                tools.guides().around());
        this.proofs = new ProofStrip(session);
        node.setTop(proofs.node());
        node.setLeft(formats.node());
        node.setCenter(work());
        new StageMenu(easel, tools, actions).listen();
        listen();
        tellStanding();
    }

    private BorderPane work() {
        resting.setOnFinished(event ->
                session.photo().ifPresent(shown -> session.lookAtPixels(List.of(shown), List.of(session.format()))));
        easel.stage().overlay().onLaid(() -> tag.giveWay(easel.stage()));
        again.setId("read-again");
        untrim.setId("untrim");
        for (Button wayOut : List.of(again, untrim)) {
            wayOut.setTranslateY(BELOW_REASON);
            wayOut.setVisible(false);
        }
        StackPane place = new StackPane(easel.stage(), tag, easel.hint().node());
        easel.tools().forEach(tool -> place.getChildren().addAll(tool.overStage()));
        place.getChildren().addAll(again, untrim);
        place.setMinSize(0, 0);
        BorderPane work = new BorderPane(place);
        work.setBottom(new VBox(tools.propose().node(), tools.desk()));
        return work;
    }

    private void listen() {
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.workedOutProperty(), this::tellWorkedOut);
        subscriptions.listen(session.formatProperty(), this::tellStanding);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(session.lenses().readProperty(), this::refresh);
        subscriptions.listen(session.photoProperty(), this::refreshAnew);
        subscriptions.listen(session.formatProperty(), this::refreshAnew);
    }

    @Override
    public void shown() {
        refresh();
        formats.refresh();
        proofs.showCurrent();
        easel.stage().requestFocus();
    }

    /** Another photo or format: what the hand was still at belongs to the one before, and is kept. */
    private void refreshAnew() {
        easel.putAway();
        easel.putAllDown();
        refresh();
    }

    private void refresh() {
        if (node.getScene() == null || easel.gestures().isBusy()) {
            return;
        }
        Optional<PhotoCrop> crop = session.crop();
        tools.propose().refresh();
        tools.desk().setHasPhoto(crop.isPresent());
        if (crop.isPresent()) {
            easel.stage().show(crop.get());
            easel.show(crop.get());
            easel.tools().forEach(EaselTool::settle);
            step.show(session, crop.get());
            readAhead();
        } else {
            easel.stage().showNothing(whyNothing());
            easel.tools().forEach(EaselTool::clear);
            step.clear();
        }
        Optional<Photo> photo = session.photo();
        resting.playFromStart();
        tag.show(
                photo,
                crop,
                photo.map(shown -> session.readingProperty().get().facts().get(shown.file())));
        tag.giveWay(easel.stage());
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

    private void tellWorkedOut() {
        tellStanding();
        if (node.getScene() != null && !easel.gestures().isBusy()) {
            session.crop().ifPresent(crop -> step.show(session, crop));
        }
    }

    private void tellStanding() {
        Tally now = session.workedOutProperty().get().tally();
        standing.set(
                Words.get("easel.standing", now.done(session.formatProperty().get()), now.ready()));
    }

    /** The neighbours of this photo are likely to be wanted next. */
    private void readAhead() {
        List<Photo> photos = session.photos();
        int here = session.photo().map(photos::indexOf).orElse(-1);
        for (int next : new int[] {here - 1, here + 1}) {
            if (next >= 0 && next < photos.size() && session.isReady(photos.get(next))) {
                easel.stage().prepare(session.crop(photos.get(next), session.format()));
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
        easel.withdraw();
        easel.letGo();
        easel.putDown();
    }

    @Override
    public void dispose() {
        super.dispose();
        resting.stop();
        tools.guides().dispose();
        formats.dispose();
        proofs.dispose();
        easel.stage().dispose();
    }
}
