package nexa.desktop.lineup;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.animation.PauseTransition;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import nexa.core.geometry.Orientation;
import nexa.core.series.CarryAcross;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.core.shoot.Subject;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.series.PhotoEdits;
import nexa.desktop.session.SeenSubjects;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.WorkedOut;
import nexa.imaging.work.LatestOnly;
import nexa.store.user.Preferences;

/** The line-up: all crops of a format and orientation at one size under one guide, the furthest out of step first. */
public final class LineUpView extends View {
    private static final int ACROSS = 5;
    private static final Duration SETTLE = Duration.millis(150);

    private final ShootSession session;
    private final Runnable openEasel;
    private final LineUpTools tools;
    private final LineUpGrid grid;
    private final LineUpFoot foot;
    private final Flick flick;
    private final SeenSubjects seen;
    private final PauseTransition viewed = new PauseTransition(SETTLE);
    private final OnView onView = new OnView(viewed::playFromStart);
    private Orientation orientation = Orientation.WIDE;
    private LineUp lineUp = LineUp.EMPTY;
    private final LatestOnly<LineUp> liningUp;

    /**
     * The line-up of a shoot.
     *
     * @param openEasel opens the photo worked on, on the easel
     */
    public LineUpView(ShootSession session, Preferences preferences, Runnable openEasel) {
        super("lineup");
        this.session = session;
        this.liningUp = session.background().latest(this::show);
        this.openEasel = openEasel;
        this.tools = new LineUpTools(session, preferences, new Choices());
        viewed.setOnFinished(event -> showRight());
        this.seen = new SeenSubjects(session, photo -> !photo.saysSubject(), this::refresh);
        this.grid = new LineUpGrid(session, tools::guide, seen, onView, openEasel);
        this.foot = new LineUpFoot(session, onView, new FootActions());
        this.flick = new Flick(session, onView);
        node.setTop(tools.node());
        node.setCenter(new StackPane(grid.node(), flick));
        node.setBottom(foot.node());
        subscriptions.listen(session.shootProperty(), this::refreshCrops);
        subscriptions.listen(session.workedOutProperty(), this::refresh);
        subscriptions.listen(session.workedOutProperty(), this::tellStanding);
        subscriptions.listen(session.photoProperty(), this::refreshHere);
        subscriptions.listen(grid.widthProperty(), this::refresh);
        tellStanding();
    }

    /** Once something is chosen, the keys are the crops' again: Space flicks through them. */
    private final class Choices implements LineUpTools.Listener {
        @Override
        public void lane(Orientation lane) {
            finish();
            orientation = lane;
            refresh();
            grid.requestFocus();
        }

        @Override
        public void order() {
            refresh();
            grid.requestFocus();
        }

        @Override
        public void guide() {
            grid.refresh();
        }

        @Override
        public void sight(boolean isUsed) {
            seen.setUsed(isUsed);
            refresh();
            grid.requestFocus();
        }
    }

    /** What is done to photos in a format. */
    private interface Stepping {
        Shoot apply(Shoot shoot, Set<String> files, String format);
    }

    private final class FootActions implements LineUpFoot.Actions {
        @Override
        public void choose(String file) {
            session.goTo(Optional.of(file));
        }

        @Override
        public void bringIntoStep() {
            change(CarryAcross::again);
        }

        @Override
        public void leaveAsItIs() {
            change(CarryAcross::accept);
        }

        @Override
        public void theseAreRight() {
            finish();
            new PhotoEdits(session, new Right()).done();
            toCrops();
        }

        private void change(Stepping how) {
            finish();
            String format = session.formatProperty().get();
            session.photo()
                    .ifPresent(photo ->
                            session.edit(Edit.Kind.STEP, shoot -> how.apply(shoot, Set.of(photo.file()), format)));
            toCrops();
        }

        @Override
        public void openEasel() {
            openEasel.run();
        }

        @Override
        public void toCrops() {
            grid.requestFocus();
        }
    }

    /** What is in step and has been on view. */
    private final class Right implements PhotoEdits.Where {
        @Override
        public Set<String> files() {
            return Set.copyOf(foot.right(lineUp));
        }

        @Override
        public void edit(Edit.Kind kind, UnaryOperator<Shoot> change) {
            session.editMany(kind, session.formatProperty().get(), change);
        }
    }

    @Override
    public void finish() {
        grid.finish();
    }

    @Override
    public void shown() {
        session.photo().filter(session::isReady).ifPresent(photo -> orientation = photo.orientation());
        refresh();
        grid.showTop();
        grid.requestFocus();
    }

    private void refresh() {
        if (node.getScene() == null) {
            return;
        }
        WorkedOut known = session.workedOutProperty().get();
        Orientation lying = orientation;
        boolean sorts = tools.sorts();
        Map<String, Subject> sighted = Map.copyOf(seen.subjects());
        liningUp.ask(() -> LineUp.of(known, lying, sorts, sighted));
        seen.look(known.now().photos());
        grid.refresh();
    }

    private void refreshCrops() {
        if (node.getScene() != null) {
            grid.refresh();
        }
    }

    private void showRight() {
        foot.showRight(lineUp);
    }

    private void show(LineUp fresh) {
        lineUp = fresh;
        tools.show(orientation);
        grid.show(lineUp.files(), across());
        foot.show(lineUp);
    }

    /** Tall crops go further side by side, so that as many are seen. */
    private int across() {
        return orientation == Orientation.WIDE ? ACROSS : ACROSS + 2;
    }

    private void refreshHere() {
        if (node.getScene() != null) {
            grid.refresh();
            foot.show(lineUp);
        }
    }

    private void tellStanding() {
        standing.set(Words.get(
                "lineup.standing", session.workedOutProperty().get().tally().outOfStep()));
    }

    @Override
    public boolean pressed(KeyEvent key) {
        if (key.isControlDown() || key.isAltDown()) {
            return false;
        }
        boolean isElsewhere = key.getTarget() instanceof ButtonBase || key.getTarget() instanceof ComboBox<?>;
        boolean isForCrops = !isElsewhere || flick.isVisible();
        return isForCrops && pressedForCrops(key) || key.getCode().isDigitKey() && tools.choose(key.getText());
    }

    private boolean pressedForCrops(KeyEvent key) {
        switch (key.getCode()) {
            case LEFT -> step(-1, 0);
            case RIGHT -> step(1, 0);
            case UP -> step(0, -1);
            case DOWN -> step(0, 1);
            case PAGE_DOWN -> session.step(1);
            case PAGE_UP -> session.step(-1);
            case SPACE -> {
                finish();
                flick.begin(lineUp.entries(), session.photoProperty().get().orElse(""));
            }
            case ENTER -> {
                finish();
                openEasel.run();
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private void step(int right, int down) {
        if (flick.isVisible()) {
            flick.stepByHand(right + down);
        } else {
            grid.move(right, down);
        }
    }

    @Override
    public boolean released(KeyEvent key) {
        if (key.getCode() == KeyCode.SPACE && flick.isVisible()) {
            session.goTo(Optional.of(flick.file()));
            flick.end();
            return true;
        }
        return false;
    }

    @Override
    public void dispose() {
        super.dispose();
        liningUp.forget();
        flick.end();
        seen.dispose();
        viewed.stop();
        tools.dispose();
    }
}
