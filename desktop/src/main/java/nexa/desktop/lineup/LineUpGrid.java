package nexa.desktop.lineup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.beans.value.ObservableValue;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import nexa.core.crop.Slide;
import nexa.core.crop.Tighten;
import nexa.core.geometry.Crop;
import nexa.core.geometry.Point;
import nexa.core.guide.Guide;
import nexa.core.series.CropTable;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Shoot;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Gesture;
import nexa.desktop.session.SeenSubjects;
import nexa.desktop.session.ShootSession;
import org.fxmisc.flowless.VirtualFlow;
import org.fxmisc.flowless.VirtualizedScrollPane;

/** The crops side by side, each to be slid and tightened where it is. */
final class LineUpGrid {
    private static final double SIDES = 42;
    private static final double GAP = 16;
    private static final double NOTCH_FACTOR = 0.97;

    private final ShootSession session;
    private final Supplier<Guide> guide;
    private final SeenSubjects seen;
    private final OnView onView;
    private final Runnable openEasel;
    private final Gesture gesture;
    private final ObservableList<List<String>> rows = FXCollections.observableArrayList();
    private final List<LineUpRow> rowCells = new ArrayList<>();
    private final VirtualFlow<List<String>, LineUpRow> flow = VirtualFlow.createVertical(rows, this::newRow);
    private final VirtualizedScrollPane<?> node = new VirtualizedScrollPane<>(flow);
    private List<String> files = List.of();
    private int across = 1;
    /** The shoot as a gesture in progress has it, and its crops; kept while that does not go on. */
    private Optional<Drafted> drafted = Optional.empty();

    private record Drafted(Shoot shoot, Crops crops) {}

    /**
     * No crops yet.
     *
     * @param guide laid over every crop
     * @param seen what is measured by where nothing is marked
     * @param onView hears what is on view
     * @param openEasel opens the photo worked on, on the easel
     */
    LineUpGrid(ShootSession session, Supplier<Guide> guide, SeenSubjects seen, OnView onView, Runnable openEasel) {
        this.session = session;
        this.guide = guide;
        this.seen = seen;
        this.onView = onView;
        this.openEasel = openEasel;
        this.gesture = new Gesture(session, () -> drafted = Optional.empty());
        flow.setFocusTraversable(true);
        flow.setId("lineup");
        flow.setAccessibleText(Words.get("view.lineup"));
        node.getStyleClass().add("lineup");
    }

    Node node() {
        return node;
    }

    ObservableValue<Number> widthProperty() {
        return flow.widthProperty();
    }

    void requestFocus() {
        flow.requestFocus();
    }

    /** Makes what the hand is at an edit. */
    void finish() {
        gesture.end();
    }

    /**
     * Shows crops.
     *
     * @param newAcross how many go side by side
     */
    void show(List<String> newFiles, int newAcross) {
        boolean isSameSet = Set.copyOf(newFiles).equals(Set.copyOf(files));
        files = newFiles;
        across = newAcross;
        List<List<String>> lines = new ArrayList<>();
        for (int i = 0; i < files.size(); i += across) {
            lines.add(files.subList(i, Math.min(files.size(), i + across)));
        }
        if (!lines.equals(rows)) {
            rows.setAll(lines);
            // Where a crop that was put right goes to another place, what is in sight stays in sight.
            if (!isSameSet) {
                showTop();
            }
        }
        refresh();
    }

    /** The furthest out of step are what one comes for. */
    void showTop() {
        if (!rows.isEmpty()) {
            flow.showAsFirst(0);
        }
    }

    void refresh() {
        rowCells.forEach(LineUpRow::refresh);
    }

    /** Goes to a crop some places on. */
    void move(int right, int down) {
        if (!files.isEmpty()) {
            int here = session.photoProperty().get().map(files::indexOf).orElse(-1);
            int next = Math.max(0, Math.min(files.size() - 1, here + right + down * across));
            session.goTo(Optional.of(files.get(next)));
            flow.show(next / across);
        }
    }

    private LineUpRow newRow(List<String> line) {
        LineUpRow row = new LineUpRow(() -> new LineUpCell(session, new CellActions()), this::fill);
        row.updateItem(line);
        rowCells.add(row);
        return row;
    }

    private void fill(LineUpCell cell, String file) {
        boolean isCurrent = session.photoProperty().get().equals(Optional.of(file));
        entry(file)
                .ifPresentOrElse(
                        entry -> {
                            cell.show(entry, width(), guide.get(), isCurrent);
                            onView.see(
                                    entry.crop(),
                                    width()
                                            * Math.max(
                                                    1,
                                                    1
                                                            / entry.crop()
                                                                    .crop()
                                                                    .size()
                                                                    .ratio()));
                        },
                        cell::clear);
    }

    private double width() {
        return Math.max(80, Math.floor((flow.getWidth() - SIDES) / across - GAP));
    }

    /** A crop as it is now, or as the draft has it: what all of them come to is known a little later. */
    private Optional<CropTable.Row> entry(String file) {
        if (gesture.isBusy() && drafted.isPresent()) {
            Drafted now = drafted.get();
            return now.shoot()
                    .find(file)
                    .filter(session::isReady)
                    .map(photo ->
                            CropTable.Row.of(now.crops(), photo, session.format(), seen.subjects(), session.levels()));
        }
        return session.shoot()
                .find(file)
                .filter(session::isReady)
                .map(photo -> session.row(photo, session.format(), seen.subjects()));
    }

    /** What the hand does in a cell. */
    private final class CellActions implements LineUpCell.Actions {
        @Override
        public void choose(String file) {
            finish();
            requestFocus();
            session.goTo(Optional.of(file));
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
            gesture.hold();
        }

        @Override
        public void tighten(PhotoCrop crop, double notches, Point place) {
            Point about = crop.crop().at(place.x(), place.y(), crop.photo().angle());
            Crop tighter = Tighten.about(crop.outline(), crop.crop(), about, Math.pow(NOTCH_FACTOR, notches));
            draft(crop, tighter, Edit.Kind.TIGHTEN);
            gesture.rest();
        }

        @Override
        public void letGo() {
            gesture.letGo();
        }
    }

    /** Shows a crop as it would be, and its followers with it. Nothing is settled before the gesture ends. */
    private void draft(PhotoCrop from, Crop crop, Edit.Kind kind) {
        gesture.begin(from, kind);
        gesture.setCrop(crop);
        drafted = gesture.drafted().map(shoot -> new Drafted(shoot, new Crops(shoot)));
        refresh();
    }
}
