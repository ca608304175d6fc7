package nexa.desktop.lineup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import nexa.core.crop.Slide;
import nexa.core.crop.Tighten;
import nexa.core.format.Format;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Point;
import nexa.core.guide.Guide;
import nexa.core.guide.GuideKind;
import nexa.core.guide.Way;
import nexa.core.series.Adjust;
import nexa.core.series.CarryAcross;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.CropEntry;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Placement;
import nexa.core.shoot.Shoot;
import nexa.desktop.formats.FormatChooser;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.SplitRow;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.series.StepWords;
import nexa.desktop.session.Background;
import nexa.desktop.session.DraftClock;
import nexa.desktop.session.ShootNow;
import nexa.desktop.session.ShootSession;
import nexa.imaging.work.Latest;
import nexa.store.Preferences;
import org.fxmisc.flowless.VirtualFlow;
import org.fxmisc.flowless.VirtualizedScrollPane;

/** The line-up: all crops of a format and orientation at one size under one guide, the furthest out of step first. */
public final class LineUpView extends View {
    private static final double SIDES = 42;
    private static final double GAP = 16;
    private static final int ACROSS = 5;
    private static final int LISTED = 4;
    private static final double NOTCH_FACTOR = 0.97;
    private static final Duration PAUSE = Duration.millis(450);
    private static final List<GuideKind> GUIDES =
            List.of(GuideKind.THIRDS, GuideKind.GOLDEN, GuideKind.CENTRE, GuideKind.DIAGONALS, GuideKind.GRID);

    private final ShootSession session;
    private final Preferences preferences;
    private final Runnable openEasel;
    private final ObservableList<List<String>> rows = FXCollections.observableArrayList();
    private final List<LineUpRow> rowCells = new ArrayList<>();
    private final VirtualFlow<List<String>, LineUpRow> flow;
    private final ToggleButton wide = Parts.toggle("lineup.wide", "choice");
    private final ToggleButton tall = Parts.toggle("lineup.tall", "choice");
    private final ToggleButton furthest = Parts.toggle("lineup.furthest", "choice");
    private final ComboBox<String> guide = new ComboBox<>();
    private final Spread spread;
    private final Label spreadTitle = Parts.label("", "section-title");
    private final VBox outList = new VBox(1);
    private final Label hereName = Parts.name("section-title");
    private final Label hereWords = Parts.label("", "small", "quiet");
    private final Button bring;
    private final Button leave;
    private final FormatChooser formats;
    private final Flick flick;
    private final TextField tightness = new TextField();
    private final TextField position = new TextField();
    private final PauseTransition pause = new PauseTransition(PAUSE);
    private final DraftClock clock;
    private Orientation orientation = Orientation.WIDE;
    private LineUp lineUp = LineUp.EMPTY;
    private final Latest<LineUp> liningUp = Background.latest(this::show);
    private Optional<Draft> draft = Optional.empty();
    /** The shoot as the draft has it, and its crops; kept while neither changes. */
    private Optional<Drafted> drafted = Optional.empty();

    /** A crop being moved where it is. */
    private record Draft(String file, String format, Crop crop, Edit.Kind kind) {
        Shoot in(Shoot shoot) {
            Adjust adjust = new Adjust(shoot, file, format);
            return kind == Edit.Kind.SLIDE ? adjust.slidTo(crop) : adjust.to(crop);
        }
    }

    private record Drafted(Shoot shoot, Crops crops) {}

    /**
     * The line-up of a shoot.
     *
     * @param openEasel opens the photo worked on, on the easel
     */
    public LineUpView(ShootSession session, Preferences preferences, Runnable openEasel) {
        super("lineup");
        this.session = session;
        this.preferences = preferences;
        this.openEasel = openEasel;
        this.flow = VirtualFlow.createVertical(rows, this::newRow);
        this.spread = new Spread(this::choose);
        this.formats = new FormatChooser(session);
        this.flick = new Flick(session);
        this.bring = Parts.button("lineup.bring", this::bringIntoStep, "main-action", "carry");
        this.leave = Parts.button("lineup.leave", this::leaveAsItIs, "small-button");
        bring.setId("bring");
        leave.setId("leave");
        flow.setFocusTraversable(true);
        flow.setId("lineup");
        flow.setAccessibleText(Words.get("view.lineup"));
        VirtualizedScrollPane<?> scroll = new VirtualizedScrollPane<>(flow);
        scroll.getStyleClass().add("lineup");
        node.setTop(tools());
        node.setCenter(new StackPane(scroll, flick));
        node.setBottom(foot());
        this.clock = new DraftClock(session, () -> draft.map(now -> now::in));
        pause.setOnFinished(event -> finish());
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(session.formatProperty(), this::refresh);
        subscriptions.listen(session.standingProperty(), this::tellStanding);
        subscriptions.listen(session.photoProperty(), this::refreshHere);
        subscriptions.listen(flow.widthProperty(), this::refresh);
        tellStanding();
    }

    private SplitRow tools() {
        wide.setOnAction(event -> lane(Orientation.WIDE));
        tall.setOnAction(event -> lane(Orientation.TALL));
        furthest.setSelected(true);
        furthest.setOnAction(event -> refresh());
        GUIDES.forEach(kind -> guide.getItems().add(Words.of("guide", kind)));
        int kept = preferences.get("lineup.guide").map(this::guideIndex).orElse(0);
        guide.getSelectionModel().select(Math.max(0, kept));
        guide.setAccessibleText(Words.get("lineup.guide"));
        guide.setOnAction(event -> {
            preferences.set("lineup.guide", guideKind().name());
            refreshCells();
        });
        Label held = Parts.label(Words.get("lineup.flick"), "quiet");
        HBox what = new HBox(8, Parts.label(Words.get("sheet.format"), "quiet"), formats.node(), wide, tall, furthest);
        HBox how = new HBox(
                8,
                Parts.label(Words.get("lineup.guide"), "quiet"),
                guide,
                held,
                Parts.label(Words.get("lineup.space"), "key-cap"));
        what.setAlignment(Pos.CENTER_LEFT);
        how.setAlignment(Pos.CENTER_LEFT);
        SplitRow tools = new SplitRow(what, how);
        tools.getStyleClass().add("tools");
        return tools;
    }

    private int guideIndex(String name) {
        return GUIDES.stream().map(Enum::name).toList().indexOf(name);
    }

    private GuideKind guideKind() {
        return GUIDES.get(Math.max(0, guide.getSelectionModel().getSelectedIndex()));
    }

    private HBox foot() {
        tolerance(tightness, "lineup.tolerance.tightness");
        tolerance(position, "lineup.tolerance.position");
        HBox allowed = new HBox(
                6,
                spreadTitle,
                Parts.spacer(),
                Parts.label(Words.get("lineup.allowed"), "small", "quiet"),
                tightness,
                position,
                Parts.label("%", "small", "quiet"));
        allowed.setAlignment(Pos.CENTER_LEFT);
        VBox left = new VBox(4, allowed, spread);
        VBox middle = new VBox(4, Parts.label(Words.get("lineup.out"), "section-title"), outList);
        middle.setMinWidth(270);
        Button open = Parts.button("lineup.open", openEasel, "small-button");
        HBox actions = new HBox(6, bring, leave, open);
        actions.setAlignment(Pos.CENTER_LEFT);
        VBox right = new VBox(
                6, new HBox(8, hereName, hereWords), actions, Parts.label(Words.get("lineup.how"), "small", "quiet"));
        HBox.setHgrow(right, Priority.ALWAYS);
        HBox foot = new HBox(left, middle, right);
        foot.getChildren().forEach(part -> part.getStyleClass().add("desk-section"));
        foot.getStyleClass().add("lineup-foot");
        return foot;
    }

    private void tolerance(TextField field, String key) {
        field.setPrefColumnCount(2);
        field.setId(key.replace('.', '-'));
        field.getStyleClass().add("number-field");
        field.setAccessibleText(Words.get(key));
        field.setTooltip(Parts.tooltip(Words.get(key)));
        field.setOnAction(event -> {
            changeTolerance();
            flow.requestFocus();
        });
        field.focusedProperty().addListener((observed, before, now) -> {
            if (!now) {
                changeTolerance();
            }
        });
    }

    /** Takes what is typed where it is a share in per cent; else what was there comes back. */
    private void changeTolerance() {
        try {
            Format.Tolerance now = session.format().tolerance();
            Format.Tolerance asked =
                    new Format.Tolerance(typed(tightness, now.tightness()), typed(position, now.position()));
            if (!asked.equals(now)) {
                session.edit(
                        Edit.Kind.FORMAT,
                        shoot -> shoot.withFormat(session.format().withTolerance(asked)));
            }
        } catch (IllegalArgumentException e) {
            tightness.setText(TypedShare.words(session.format().tolerance().tightness()));
            position.setText(TypedShare.words(session.format().tolerance().position()));
        }
    }

    /** What was typed; where nothing was, the value itself, which may be finer than its words. */
    private static double typed(TextField field, double now) {
        return field.getText().strip().equals(TypedShare.words(now)) ? now : TypedShare.read(field.getText());
    }

    private LineUpRow newRow(List<String> files) {
        LineUpRow row = new LineUpRow(() -> new LineUpCell(session, new CellActions()), this::fill);
        row.updateItem(files);
        rowCells.add(row);
        return row;
    }

    private void fill(LineUpCell cell, String file) {
        Guide laid = guideKind().laid(Way.UNTURNED, GuideKind.FEWEST_LINES + 4);
        boolean isCurrent = session.photoProperty().get().equals(Optional.of(file));
        entry(file).ifPresentOrElse(entry -> cell.show(entry, width(), laid, isCurrent), cell::clear);
    }

    /** A crop as it is now, or as the draft has it: what all of them come to is known a little later. */
    private Optional<LineUp.Entry> entry(String file) {
        if (drafted.isPresent()) {
            Drafted now = drafted.get();
            return now.shoot()
                    .find(file)
                    .filter(session::isReady)
                    .map(photo -> LineUp.entry(now.crops(), photo, session.format()));
        }
        return session.shoot()
                .find(file)
                .filter(session::isReady)
                .map(photo ->
                        new LineUp.Entry(session.crop(photo, session.format()), session.step(photo, session.format())));
    }

    private double width() {
        return Math.max(80, Math.floor((flow.getWidth() - SIDES) / across() - GAP));
    }

    /** Tall crops go further side by side, so that as many are seen. */
    private int across() {
        return orientation == Orientation.WIDE ? ACROSS : ACROSS + 2;
    }

    /** What the hand does in a cell. */
    private final class CellActions implements LineUpCell.Actions {
        @Override
        public void choose(String file) {
            finish();
            flow.requestFocus();
            LineUpView.this.choose(file);
        }

        @Override
        public void open(String file) {
            finish();
            session.goTo(Optional.of(file));
            openEasel.run();
        }

        @Override
        public void slide(PhotoCrop crop, Point way) {
            draft(crop, Slide.by(crop.outline(), crop.crop(), way), Edit.Kind.SLIDE);
        }

        @Override
        public void tighten(PhotoCrop crop, double notches, Point place) {
            Point about = crop.crop().at(place.x(), place.y(), crop.photo().angle());
            Crop tighter = Tighten.about(crop.outline(), crop.crop(), about, Math.pow(NOTCH_FACTOR, notches));
            draft(crop, tighter, Edit.Kind.TIGHTEN);
            pause.playFromStart();
        }

        @Override
        public void letGo() {
            finish();
        }
    }

    /** Shows a crop as it would be, and its followers with it. Nothing is settled before the gesture ends. */
    private void draft(PhotoCrop from, Crop crop, Edit.Kind kind) {
        boolean isOther = draft.map(now -> !now.file().equals(from.photo().file()) || now.kind() != kind)
                .orElse(false);
        if (isOther) {
            finish();
        }
        pause.stop();
        draft = Optional.of(new Draft(from.photo().file(), from.format().id(), crop, kind));
        Shoot drawn = draft.get().in(session.shoot());
        drafted = Optional.of(new Drafted(drawn, new Crops(drawn)));
        refreshCells();
        clock.goOn();
    }

    @Override
    public void finish() {
        pause.stop();
        clock.stop();
        draft.ifPresent(done -> {
            draft = Optional.empty();
            drafted = Optional.empty();
            session.edit(done.kind(), done.format(), done::in);
        });
    }

    private void lane(Orientation lane) {
        finish();
        orientation = lane;
        refresh();
    }

    private void choose(String file) {
        session.goTo(Optional.of(file));
    }

    @Override
    public void shown() {
        session.photo()
                .filter(session::isReady)
                .ifPresent(photo -> orientation = photo.size().orientation());
        refresh();
        showTop();
        flow.requestFocus();
    }

    private void refresh() {
        if (node.getScene() == null) {
            return;
        }
        ShootNow now = session.now();
        Orientation lying = orientation;
        boolean sorts = furthest.isSelected();
        liningUp.ask(() -> LineUp.of(now, lying, sorts));
        refreshCells();
    }

    private void show(LineUp fresh) {
        boolean isSameSet = Set.copyOf(fresh.files()).equals(Set.copyOf(lineUp.files()));
        lineUp = fresh;
        wide.setSelected(orientation == Orientation.WIDE);
        tall.setSelected(orientation == Orientation.TALL);
        List<String> files = lineUp.files();
        List<List<String>> lines = new ArrayList<>();
        for (int i = 0; i < files.size(); i += across()) {
            lines.add(files.subList(i, Math.min(files.size(), i + across())));
        }
        if (!lines.equals(rows)) {
            rows.setAll(lines);
            // Where a crop that was put right goes to another place, what is in sight stays in sight.
            if (!isSameSet) {
                showTop();
            }
        }
        refreshCells();
        refreshFoot();
    }

    /** The furthest out of step are what one comes for. */
    private void showTop() {
        if (!rows.isEmpty()) {
            flow.showAsFirst(0);
        }
    }

    private void refreshCells() {
        rowCells.forEach(LineUpRow::refresh);
    }

    private void refreshHere() {
        if (node.getScene() != null) {
            refreshCells();
            refreshFoot();
        }
    }

    private void refreshFoot() {
        Format format = session.format();
        fill(tightness, format.tolerance().tightness());
        fill(position, format.tolerance().position());
        String current = session.photoProperty().get().orElse("");
        spreadTitle.setText(Words.get("lineup.spread", lineUp.entries().size()));
        spread.show(lineUp.entries(), format.tolerance(), current);
        outList.getChildren().clear();
        lineUp.out().stream()
                .limit(LISTED)
                .forEach(entry -> outList.getChildren().add(outEntry(entry)));
        if (lineUp.out().isEmpty()) {
            boolean follows = lineUp.entries().stream().anyMatch(LineUp.Entry::follows);
            outList.getChildren()
                    .add(Parts.label(Words.get(follows ? "lineup.allIn" : "lineup.none"), "small", "quiet"));
        }
        Optional<LineUp.Entry> here = lineUp.find(current);
        Parts.setName(hereName, here.map(LineUp.Entry::file).orElse(""));
        hereWords.setText(here.filter(LineUp.Entry::follows)
                .flatMap(LineUp.Entry::step)
                .map(StepWords::of)
                .orElse(""));
        boolean canBring = here.map(entry -> entry.step().isPresent()
                        && entry.crop().state() != PhotoCrop.State.FOLLOW
                        && entry.crop().state() != PhotoCrop.State.LEAD)
                .orElse(false);
        bring.setDisable(!canBring);
        leave.setDisable(!here.map(LineUp.Entry::isOut).orElse(false));
    }

    /** What is being typed stays. */
    private static void fill(TextField field, double share) {
        if (!field.isFocused()) {
            field.setText(TypedShare.words(share));
        }
    }

    private Button outEntry(LineUp.Entry entry) {
        Button button = new Button(
                PhotoNames.base(entry.file()) + "  " + StepWords.of(entry.step().orElseThrow()));
        button.getStyleClass().addAll("flat", "look-entry");
        button.setGraphic(Parts.triangle());
        Parts.explain(button, Words.get("panel.look.tip", entry.file()));
        button.setOnAction(event -> choose(entry.file()));
        return button;
    }

    private void tellStanding() {
        standing.set(
                Words.get("lineup.standing", session.standingProperty().get().outOfStep()));
    }

    private void bringIntoStep() {
        finish();
        String format = session.formatProperty().get();
        session.photo()
                .ifPresent(photo ->
                        session.edit(Edit.Kind.STEP, shoot -> CarryAcross.again(shoot, Set.of(photo.file()), format)));
        flow.requestFocus();
    }

    private void leaveAsItIs() {
        finish();
        String format = session.formatProperty().get();
        session.photo()
                .ifPresent(photo -> session.edit(
                        Edit.Kind.STEP,
                        shoot -> shoot.with(photo.file(), before -> {
                            CropEntry entry = before.entry(format);
                            return entry.placement() instanceof Placement.Follow follow
                                    ? before.withEntry(format, entry.withPlacement(follow.withAccepted(true)))
                                    : before;
                        })));
        flow.requestFocus();
    }

    private void move(int right, int down) {
        List<String> files = lineUp.files();
        if (files.isEmpty()) {
            return;
        }
        int here = session.photoProperty().get().map(files::indexOf).orElse(-1);
        int next = Math.max(0, Math.min(files.size() - 1, here + right + down * across()));
        choose(files.get(next));
        flow.show(next / across());
    }

    @Override
    public boolean pressed(KeyEvent key) {
        if (key.isControlDown() || key.isAltDown()) {
            return false;
        }
        boolean isElsewhere = key.getTarget() instanceof ButtonBase || key.getTarget() instanceof ComboBox<?>;
        if (isElsewhere && !flick.isVisible()) {
            return key.getCode().isDigitKey() && formats.choose(key.getText());
        }
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
                return key.getCode().isDigitKey() && formats.choose(key.getText());
            }
        }
        return true;
    }

    private void step(int right, int down) {
        if (flick.isVisible()) {
            flick.stepByHand(right + down);
        } else {
            move(right, down);
        }
    }

    @Override
    public boolean released(KeyEvent key) {
        if (key.getCode() == KeyCode.SPACE && flick.isVisible()) {
            choose(flick.file());
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
        formats.dispose();
    }
}
