package nexa.desktop.find;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import nexa.core.format.Format;
import nexa.core.format.Going;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Choices;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;
import org.fxmisc.flowless.VirtualFlow;
import org.fxmisc.flowless.VirtualizedScrollPane;

/** Finds levels, borders, subjects or crops in many photos: shows what was found, and takes what is ticked as one edit. */
public final class FindPanel extends VBox implements Overlays.Inner, Overlays.Filling {
    private static final int ACROSS = 4;
    private static final double LEAST_HEIGHT = 150;
    /** As high as the window lets it be. */
    private static final double HEIGHT = 4_000;

    /** What comes in is shown so often at most. */
    private static final Duration SETTLE = Duration.millis(150);

    /** In which photos it is found. */
    public enum Whom {
        CHOSEN,
        LANE,
        EVERYTHING,
        NOT_DONE
    }

    private final ShootSession session;
    private final Runnable close;
    private final Map<FindWhat, FoundList> found = new EnumMap<>(FindWhat.class);
    private final Runnable taken;
    private final FindInMany finding;
    private final ObservableList<FoundList.Row> rows = FXCollections.observableArrayList();
    private final List<FoundCell> cells = new ArrayList<>();
    private final PauseTransition settle = new PauseTransition(SETTLE);
    private final Choices<FindWhat> what;
    private final Choices<Whom> whom;
    private final Label progress = Parts.label("", "quiet");
    private final ProgressBar bar = new ProgressBar(0);
    private final Button stop = Parts.button("find.stop", this::stopOrGoOn, "small-button");
    private final Button take = Parts.button("find.take", this::take, "main-action");
    private final StackPane place = new StackPane();
    private final VirtualFlow<FoundList.Row, FoundCell> flow;
    private final Node scroll;
    private final FoundLarge large;
    /** What is meant, of each thing that can be found. */
    private final Map<FindWhat, List<FoundPhoto.Key>> keys = new EnumMap<>(FindWhat.class);

    private int photoCount;
    private boolean isStopped;

    /** Opens it for the chosen photos where there are several, else for all. */
    public static void open(ShootSession session, Overlays overlays) {
        Set<String> chosen = session.chosenProperty().get();
        open(session, overlays, FindWhat.LEVELS, chosen.size() > 1 ? Whom.CHOSEN : Whom.EVERYTHING);
    }

    /** Opens it. */
    public static void open(ShootSession session, Overlays overlays, FindWhat what, Whom whom) {
        open(session, overlays, what, whom, () -> {});
    }

    /**
     * Opens it.
     *
     * @param taken what comes once something has been taken
     */
    public static void open(ShootSession session, Overlays overlays, FindWhat what, Whom whom, Runnable taken) {
        if (!session.photos().isEmpty()) {
            overlays.show(new FindPanel(session, overlays::close, what, whom, taken));
        }
    }

    private FindPanel(ShootSession session, Runnable close, FindWhat firstWhat, Whom first, Runnable taken) {
        this.session = session;
        this.close = close;
        this.taken = taken;
        this.finding = new FindInMany(session, this::add);
        for (FindWhat each : FindWhat.values()) {
            found.put(each, new FoundList());
        }
        what = new Choices<>("find.what", firstWhat, chosen -> look());
        getStyleClass().add("find-panel");
        setSpacing(12);
        whom = new Choices<>("find", first, chosen -> look());
        whom.button(Whom.CHOSEN).setDisable(session.chosenProperty().get().isEmpty());
        whom.button(Whom.LANE)
                .setDisable(session.photo().filter(session::isReady).isEmpty());
        flow = VirtualFlow.createVertical(rows, this::newCell);
        flow.setId("found");
        scroll = new VirtualizedScrollPane<>(flow);
        large = new FoundLarge(session.pictures(), new Prints(), place);
        place.setMinHeight(LEAST_HEIGHT);
        place.setPrefHeight(HEIGHT);
        VBox.setVgrow(place, Priority.ALWAYS);
        place.getStyleClass().add("found-place");
        place.getChildren().setAll(scroll);
        stop.setId("find-stop");
        take.setId("find-take");
        progress.setId("find-progress");
        settle.setOnFinished(event -> show());
        getChildren().addAll(heading(), whatRow(), whomRow(), place, foot());
        // Closed by whatever way: what is still to come is not wanted any more.
        sceneProperty().addListener((observed, before, now) -> {
            if (now == null) {
                finding.stop();
                settle.stop();
            }
        });
        addEventFilter(KeyEvent.KEY_PRESSED, key -> {
            if (key.getCode() == KeyCode.A && key.isShortcutDown()) {
                tickAll();
                key.consume();
            }
        });
        look();
    }

    private HBox heading() {
        HBox heading = new HBox(
                10,
                Parts.label(Words.get("find.title"), "page-title"),
                Parts.label(Words.get("find.lead"), "quiet"),
                Parts.spacer(),
                Parts.closeButton(close));
        heading.setAlignment(Pos.BASELINE_LEFT);
        return heading;
    }

    private HBox whatRow() {
        HBox row = Parts.row(5, Parts.label(Words.get("find.what"), "quiet", "carry-label"));
        row.getChildren().addAll(what.buttons());
        return row;
    }

    private FoundList list() {
        return found.get(what.chosen());
    }

    private HBox whomRow() {
        HBox row = new HBox(5, Parts.label(Words.get("find.whom"), "quiet", "carry-label"));
        row.getChildren().addAll(whom.buttons());
        row.getChildren().addAll(Parts.spacer(), progress, bar, stop);
        bar.setPrefWidth(120);
        bar.managedProperty().bind(bar.visibleProperty());
        stop.managedProperty().bind(stop.visibleProperty());
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private HBox foot() {
        return Parts.row(12, Parts.label(Words.get("find.foot"), "quiet"), Parts.spacer(), take);
    }

    private FoundCell newCell(FoundList.Row row) {
        FoundCell cell = new FoundCell(
                session.pictures(),
                new Prints(),
                id -> session.shoot().format(id).name());
        cell.updateItem(row);
        cells.add(cell);
        return cell;
    }

    /** What is done with a photo that was looked at. */
    private final class Prints implements FoundPrint.Actions {
        @Override
        public boolean isTicked(FoundPhoto.Key key) {
            return list().isTicked(key);
        }

        @Override
        public void toggle(FoundPhoto.Key key) {
            list().toggle(key);
            showTicks();
        }

        @Override
        public void setTicked(List<FoundPhoto.Key> group, boolean isTicked) {
            list().setTicked(group, isTicked);
            showTicks();
        }

        @Override
        public void open(FoundPhoto.Key key) {
            List<FoundPhoto> order = list().order(keys(what.chosen()));
            large.show(order, order.indexOf(list().get(key).orElseThrow()));
            place.getChildren().setAll(large);
            large.requestFocus();
        }
    }

    private void showTicks() {
        cells.forEach(FoundCell::again);
        count();
    }

    /** Everything that is shown is ticked, as far as it can be taken. */
    private void tickAll() {
        list().setTicked(keys(what.chosen()), true);
        showTicks();
    }

    /** What is looked for in each photo: a crop in each format that goes or waits, anything else once. */
    private List<FoundPhoto.Key> keys(FindWhat of) {
        return keys.getOrDefault(of, List.of());
    }

    /** The formats crops are proposed for. What is the photo's own shape, or any, waits for no proposal. */
    private List<String> formats(FindWhat of) {
        if (of != FindWhat.CROPS) {
            return List.of("");
        }
        List<String> going = session.shoot().formats().stream()
                .filter(format ->
                        format.going() != Going.STAYS && format.ratio().isFixed())
                .map(Format::id)
                .toList();
        return going.isEmpty() ? List.of(session.formatProperty().get()) : going;
    }

    @Override
    public boolean back() {
        boolean isLarge = place.getChildren().contains(large);
        if (isLarge) {
            place.getChildren().setAll(scroll);
            cells.forEach(FoundCell::again);
            scroll.requestFocus();
        }
        return isLarge;
    }

    private boolean isMeant(Photo photo) {
        boolean isIn = switch (whom.chosen()) {
            case CHOSEN -> session.chosenProperty().get().contains(photo.file());
            case LANE ->
                session.photo().filter(here -> here.lane() == photo.lane()).isPresent();
            case EVERYTHING -> true;
            case NOT_DONE -> !photo.entry(session.formatProperty().get()).isDone();
        };
        return isIn && (photo.mark() != Mark.OUT || whom.chosen() == Whom.CHOSEN);
    }

    private void look() {
        back();
        List<Photo> photos = session.photos().stream()
                .filter(session::isReady)
                .filter(this::isMeant)
                .toList();
        for (FindWhat each : FindWhat.values()) {
            keys.put(
                    each,
                    formats(each).stream()
                            .flatMap(format -> photos.stream().map(photo -> new FoundPhoto.Key(photo.file(), format)))
                            .toList());
        }
        photoCount = photos.size();
        isStopped = false;
        finding.look(what.chosen(), photos, formats(what.chosen()), key -> !list().has(key));
        show();
    }

    private void stopOrGoOn() {
        if (isStopped) {
            look();
        } else {
            isStopped = true;
            finding.stop();
            show();
        }
    }

    private void add(FoundPhoto photo) {
        found.get(photo.what()).add(photo);
        if (settle.getStatus() != PauseTransition.Status.RUNNING) {
            settle.playFromStart();
        }
    }

    private void show() {
        List<FoundList.Row> fresh = list().rows(keys(what.chosen()), ACROSS);
        int top = rows.isEmpty() ? 0 : flow.getFirstVisibleIndex();
        int same = 0;
        while (same < rows.size() && same < fresh.size() && rows.get(same).equals(fresh.get(same))) {
            same++;
        }
        // Rows that stay as they are need not be drawn anew.
        if (same < rows.size()) {
            rows.remove(same, rows.size());
        }
        rows.addAll(fresh.subList(same, fresh.size()));
        if (top < rows.size()) {
            // What comes in moves nothing that is looked at further than it must.
            flow.showAsFirst(Math.max(0, top));
        }
        long left = keys(what.chosen()).stream()
                .filter(key -> !list().has(key))
                .map(FoundPhoto.Key::file)
                .distinct()
                .count();
        long done = photoCount - left;
        boolean isAll = left == 0;
        progress.setText(
                Words.get(isAll ? "find.all" : isStopped ? "find.stopped" : "find.progress", done, photoCount));
        bar.setVisible(!isAll);
        bar.setProgress(photoCount == 0 ? 1 : (double) done / photoCount);
        stop.setVisible(!isAll);
        stop.setText(Words.get(isStopped ? "find.goOn" : "find.stop"));
        count();
    }

    private Ticked ticked() {
        return Ticked.of(found, this::keys, session.shoot());
    }

    private void count() {
        Ticked ticked = ticked();
        take.setText(Words.get("find.take", ticked.counts(what.chosen())));
        take.setDisable(ticked.isNothing() || session.isReadOnly());
    }

    private void take() {
        Ticked ticked = ticked();
        String format = session.formatProperty().get();
        close.run();
        session.editMany(ticked.kind(), format, ticked::taken);
        taken.run();
    }
}
