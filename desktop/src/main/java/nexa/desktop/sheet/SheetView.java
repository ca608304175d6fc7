package nexa.desktop.sheet;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.input.KeyEvent;
import nexa.core.shoot.Lane;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.View;
import nexa.desktop.shell.Words;
import org.fxmisc.flowless.VirtualFlow;
import org.fxmisc.flowless.VirtualizedScrollPane;

/** The contact sheet: all photos in lanes, each with its crop in the format worked in. */
public final class SheetView extends View {
    private static final double SIDES = 40;

    private final ShootSession session;
    private final Runnable openEasel;
    private final ObservableList<SheetRow> rows = FXCollections.observableArrayList();
    private final VirtualFlow<SheetRow, SheetCell> sheet;
    private final SheetPanel panel;
    private final SheetTools tools;

    /**
     * The sheet of a shoot.
     *
     * @param openEasel opens the photo worked on, on the easel
     * @param openFolder opens another folder
     */
    public SheetView(ShootSession session, Runnable openEasel, Consumer<Path> openFolder) {
        super("sheet");
        this.session = session;
        this.openEasel = openEasel;
        this.tools = new SheetTools(session, this::refresh);
        this.panel = new SheetPanel(session, openEasel, openFolder);
        this.sheet = VirtualFlow.createVertical(rows, row -> newCell(row));
        sheet.setFocusTraversable(true);
        sheet.setId("sheet");
        sheet.setAccessibleText(Words.get("view.sheet"));
        VirtualizedScrollPane<?> scroll = new VirtualizedScrollPane<>(sheet);
        scroll.getStyleClass().add("sheet");
        node.setTop(tools.node());
        node.setCenter(scroll);
        node.setRight(panel.node());
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(sheet.widthProperty(), this::refresh);
        refresh();
    }

    private SheetCell newCell(SheetRow row) {
        SheetCell cell = new SheetCell(session, openEasel);
        cell.updateItem(row);
        return cell;
    }

    @Override
    public void shown() {
        sheet.requestFocus();
        showCurrent();
    }

    private void refresh() {
        List<Photo> photos = session.shoot().photos();
        standing.set(Words.get("sheet.standing", photos.size()));
        double width = Math.max(60, (sheet.getWidth() - SIDES) / tools.across() - SheetRow.GAP);
        List<SheetRow> fresh = new ArrayList<>();
        Map<Boolean, List<Photo>> known = photos.stream()
                .collect(Collectors.partitioningBy(photo -> photo.pixels().isPresent()));
        for (Lane lane : Lane.values()) {
            List<Photo> inLane = known.get(true).stream()
                    .filter(photo -> Lane.of(photo.size()) == lane)
                    .toList();
            addLane(fresh, Words.of("lane", lane), inLane, SheetRow.printSize(lane, width));
        }
        addLane(fresh, Words.get("lane.unread"), known.get(false), SheetRow.printSize(Lane.WIDE, width));
        if (fresh.isEmpty()) {
            fresh.add(new SheetRow.Note(Words.get("sheet.empty", session.path().toString())));
        }
        replaceRows(fresh);
    }

    /** Leaves the rows that stay as they are alone, so that their prints need not be shown anew. */
    private void replaceRows(List<SheetRow> fresh) {
        int same = 0;
        while (same < rows.size() && same < fresh.size() && rows.get(same).equals(fresh.get(same))) {
            same++;
        }
        if (same < rows.size()) {
            rows.subList(same, rows.size()).clear();
        }
        rows.addAll(fresh.subList(same, fresh.size()));
    }

    private void addLane(List<SheetRow> to, String name, List<Photo> photos, SheetRow.PrintSize size) {
        if (photos.isEmpty()) {
            return;
        }
        String done = session.formatProperty().get();
        long cropped =
                photos.stream().filter(photo -> photo.entry(done).isDone()).count();
        to.add(new SheetRow.Heading(name, Words.get("lane.counts", photos.size(), cropped)));
        List<String> files = photos.stream().map(Photo::file).toList();
        int inRow = (int) Math.max(1, (sheet.getWidth() - SIDES + SheetRow.GAP) / (size.width() + SheetRow.GAP));
        for (int i = 0; i < files.size(); i += inRow) {
            to.add(new SheetRow.Prints(files.subList(i, Math.min(files.size(), i + inRow)), size));
        }
    }

    private void showCurrent() {
        int row = rowOfCurrent();
        if (row >= 0) {
            sheet.showAsFirst(Math.max(0, row - 1));
        }
    }

    private int rowOfCurrent() {
        Optional<String> file = session.photoProperty().get();
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i) instanceof SheetRow.Prints prints
                    && file.filter(prints.files()::contains).isPresent()) {
                return i;
            }
        }
        return -1;
    }

    /** Moves along the prints as they lie: left and right through the run, up and down by rows. */
    private void move(int right, int down) {
        int row = rowOfCurrent();
        List<SheetRow.Prints> lines = rows.stream()
                .filter(SheetRow.Prints.class::isInstance)
                .map(SheetRow.Prints.class::cast)
                .toList();
        if (lines.isEmpty()) {
            return;
        }
        if (row < 0) {
            session.goTo(Optional.of(lines.get(0).files().get(0)));
            return;
        }
        SheetRow.Prints here = (SheetRow.Prints) rows.get(row);
        int column = here.files().indexOf(session.photoProperty().get().orElseThrow());
        int line = lines.indexOf(here);
        if (down != 0) {
            int next = Math.max(0, Math.min(lines.size() - 1, line + down));
            List<String> files = lines.get(next).files();
            session.goTo(Optional.of(files.get(Math.min(column, files.size() - 1))));
        } else {
            List<String> all =
                    lines.stream().flatMap(prints -> prints.files().stream()).toList();
            int index = all.indexOf(here.files().get(column)) + right;
            session.goTo(Optional.of(all.get(Math.max(0, Math.min(all.size() - 1, index)))));
        }
        int now = rowOfCurrent();
        if (now >= 0) {
            sheet.show(now);
        }
    }

    @Override
    public boolean pressed(KeyEvent key) {
        boolean isOnSheet = key.getTarget() == sheet;
        if (!isOnSheet || key.isControlDown() || key.isAltDown()) {
            return false;
        }
        switch (key.getCode()) {
            case LEFT -> move(-1, 0);
            case RIGHT -> move(1, 0);
            case UP -> move(0, -1);
            case DOWN -> move(0, 1);
            case PAGE_DOWN -> session.step(1);
            case PAGE_UP -> session.step(-1);
            case ENTER -> openEasel.run();
            default -> {
                return key.getCode().isDigitKey() && tools.choose(key.getText());
            }
        }
        return true;
    }

    @Override
    public void dispose() {
        super.dispose();
        panel.dispose();
        tools.dispose();
    }
}
