package nexa.desktop.sheet;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import nexa.core.series.Reorient;
import nexa.core.shoot.Mark;
import nexa.desktop.find.FindPanel;
import nexa.desktop.find.FindWhat;
import nexa.desktop.formats.AddFormat;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.View;
import nexa.desktop.parts.Words;
import nexa.desktop.session.SeenSubjects;
import nexa.desktop.session.ShootSession;
import nexa.desktop.session.WorkedOut;
import nexa.imaging.work.LatestOnly;
import nexa.store.user.KeptFormats;
import org.fxmisc.flowless.VirtualFlow;
import org.fxmisc.flowless.VirtualizedScrollPane;

/** The contact sheet: all photos in lanes, each with its crop in the format worked in. */
public final class SheetView extends View {
    private static final double SCROLL_BAR = 12;

    private final ShootSession session;
    private final Runnable openEasel;
    /**
     * The rows of a moment.
     *
     * @param isRead whether all photos had been read: until then nobody knows which is the first
     */
    private record Laid(List<SheetRow> rows, boolean isRead) {}

    private final SheetRows rows = new SheetRows();
    private final LatestOnly<Laid> laying;
    private final VirtualFlow<SheetRow, SheetCell> sheet;
    private final VirtualizedScrollPane<?> scroll;
    private final SheetPanel panel;
    private final SheetTools tools;
    private final Choosing choosing;
    private final ChosenActions actions;
    private final ChosenPanel chosen;
    private final List<SheetCell> cells = new ArrayList<>();
    private final ContextMenu menu = new ContextMenu();
    private final SeenSubjects seen;
    private final FirstSteps first;
    /** Whether the photo worked on is the sheet's first as it is now that all photos are read, or another was gone to. */
    private boolean hasBegun;

    /**
     * The sheet of a shoot.
     *
     * @param kept formats kept one by one
     * @param briefs shows the briefs
     * @param openEasel opens the photo worked on, on the easel
     * @param openFolder opens another folder
     */
    public SheetView(
            ShootSession session,
            KeptFormats kept,
            Overlays overlays,
            Runnable briefs,
            Consumer<String> messages,
            Runnable openEasel,
            Consumer<Path> openFolder) {
        super("sheet");
        this.session = session;
        this.laying = session.background().latest(this::replaceRows);
        this.openEasel = openEasel;
        this.seen = new SeenSubjects(session, photo -> true, this::refresh);
        this.tools = new SheetTools(session, this::refresh, () -> cells.forEach(SheetCell::again));
        this.choosing = new Choosing(session);
        this.actions = new ChosenActions(session, choosing, overlays, messages);
        this.chosen = new ChosenPanel(session, choosing, actions);
        this.panel = new SheetPanel(
                session,
                chosen,
                new LooksList(
                        session,
                        this::choose,
                        openEasel,
                        () -> FindPanel.open(session, overlays, FindWhat.LEVELS, FindPanel.Whom.NOT_DONE)),
                openFolder);
        this.sheet = VirtualFlow.createVertical(rows.list(), this::newCell);
        sheet.setFocusTraversable(true);
        sheet.setId("sheet");
        sheet.setAccessibleText(Words.get("view.sheet"));
        this.scroll = new VirtualizedScrollPane<>(sheet);
        scroll.getStyleClass().add("sheet");
        this.first = new FirstSteps(new AddFormat(session, kept, overlays, briefs), briefs, actions::find);
        node.setTop(new VBox(tools.node(), first.node()));
        node.setCenter(new StackPane(scroll, new RubberBand(scroll, SCROLL_BAR, this::chooseIn).node()));
        node.setRight(panel.node());
        subscriptions.listen(session.workedOutProperty(), this::refresh);
        subscriptions.listen(scroll.widthProperty(), this::refresh);
    }

    /** Photos told of elsewhere, to be seen here. */
    private void choose(List<String> files) {
        choosing.all(files);
        session.goTo(files.stream().findFirst());
        showCurrent();
        sheet.requestFocus();
    }

    private SheetCell newCell(SheetRow row) {
        SheetCell cell = new SheetCell(session, new PhotoClicks(), choosing::all);
        cell.updateItem(row);
        cells.add(cell);
        return cell;
    }

    /** What is done with a photo. */
    private final class PhotoClicks implements SheetPhoto.Actions {
        @Override
        public void clicked(String file, MouseEvent event) {
            sheet.requestFocus();
            if (event.isControlDown()) {
                choosing.toggle(file);
            } else if (event.isShiftDown()) {
                choosing.rangeTo(file, rows.files());
            } else if (event.getButton() == MouseButton.PRIMARY) {
                choosing.only(file);
                if (event.getClickCount() == 2) {
                    openEasel.run();
                }
            }
        }

        @Override
        public void asked(String file, Node photo, ContextMenuEvent event) {
            if (!session.chosenProperty().get().contains(file)) {
                choosing.only(file);
            }
            menu.getItems().setAll(chosen.items());
            menu.show(photo, event.getScreenX(), event.getScreenY());
        }

        @Override
        public SheetMode mode() {
            return tools.mode();
        }
    }

    /** Chooses the photos that lie in a part of the scene. */
    private void chooseIn(Bounds part) {
        choosing.all(sheet.lookupAll(".sheet-photo").stream()
                .map(SheetPhoto.class::cast)
                .filter(photo -> photo.getScene() != null && photo.isVisible())
                .filter(photo -> photo.localToScene(photo.getBoundsInLocal()).intersects(part))
                .flatMap(photo -> photo.file().stream())
                .filter(rows.files()::contains)
                .toList());
        sheet.requestFocus();
    }

    @Override
    public void shown() {
        refresh();
        panel.shown();
        sheet.requestFocus();
        showCurrent();
    }

    private void refresh() {
        WorkedOut known = session.workedOutProperty().get();
        standing.set(Words.get("sheet.standing", known.now().photos().size()));
        if (node.getScene() == null) {
            return;
        }
        // Whether there is a scroll bar depends on the rows, so they do not depend on it.
        first.show(known, !session.isReadOnly());
        double width = scroll.getWidth() - SCROLL_BAR;
        seen.setUsed(tools.filter().goesBySubjects());
        seen.look(known.now().photos());
        SheetLayout layout = new SheetLayout(
                tools.filter(),
                Map.copyOf(seen.known()),
                tools.across(),
                width,
                session.path().toString());
        if (width > 0) {
            laying.ask(() -> new Laid(
                    layout.rows(known),
                    known.now().photos().stream().allMatch(known.now().reading()::has)));
        }
    }

    /** Until somebody goes to a photo, the first is the one worked on. */
    private void replaceRows(Laid laid) {
        replace(laid.rows());
        hasBegun |= session.hasMoved();
        if (!hasBegun) {
            hasBegun = laid.isRead();
            rows.files().stream().findFirst().ifPresent(session::beginAt);
        }
    }

    /** What was at the top stays there: the flow itself would hold on to whatever row it likes. */
    private void replace(List<SheetRow> fresh) {
        boolean isFirst = rows.list().isEmpty() && session.hasMoved();
        Optional<String> top = fileAtTop();
        if (!rows.replace(fresh)) {
            return;
        }
        if (isFirst) {
            showCurrent();
        } else {
            sheet.showAsFirst(top.map(rows::rowOf).filter(row -> row > 0).orElse(0));
        }
    }

    /** The first file of the row at the top, unless that is the very first row. */
    private Optional<String> fileAtTop() {
        int first = rows.list().isEmpty() || sheet.getHeight() == 0 ? 0 : sheet.getFirstVisibleIndex();
        return first > 1 ? rows.firstFrom(first) : Optional.empty();
    }

    private void showCurrent() {
        int row = rowOfCurrent();
        if (row >= 0) {
            sheet.showAsFirst(Math.max(0, row - 1));
        }
    }

    private int rowOfCurrent() {
        return session.photoProperty().get().map(rows::rowOf).orElse(-1);
    }

    private void move(int right, int down, boolean isExtending) {
        boolean wasOnSheet = rowOfCurrent() >= 0;
        Optional<String> next = rows.moved(session.photoProperty().get(), right, down);
        if (!wasOnSheet) {
            next.ifPresent(file -> session.goTo(Optional.of(file)));
            return;
        }
        next.ifPresent(file -> goTo(file, isExtending));
        int now = rowOfCurrent();
        if (now >= 0) {
            sheet.show(now);
        }
    }

    private void goTo(String file, boolean isExtending) {
        if (isExtending) {
            choosing.rangeTo(file, rows.files());
        } else {
            choosing.only(file);
        }
    }

    @Override
    public boolean pressed(KeyEvent key) {
        boolean isOnSheet = key.getTarget() == sheet;
        if (!isOnSheet || key.isAltDown()) {
            return false;
        }
        if (key.isControlDown()) {
            return pressedWithControl(key);
        }
        boolean isExtending = key.isShiftDown();
        switch (key.getCode()) {
            case LEFT -> move(-1, 0, isExtending);
            case RIGHT -> move(1, 0, isExtending);
            case UP -> move(0, -1, isExtending);
            case DOWN -> move(0, 1, isExtending);
            case S -> actions.edits().mark(Mark.SELECT);
            case DELETE -> actions.edits().mark(Mark.OUT);
            case C -> actions.carry();
            case F -> {
                if (!key.isShiftDown()) {
                    return false;
                }
                actions.find();
            }
            case ESCAPE -> session.chosenProperty().set(Set.of());
            case PAGE_DOWN -> session.step(1);
            case PAGE_UP -> session.step(-1);
            case ENTER -> openEasel.run();
            default -> {
                return key.getCode().isDigitKey() && tools.choose(key.getText());
            }
        }
        return true;
    }

    private boolean pressedWithControl(KeyEvent key) {
        switch (key.getCode()) {
            case A -> choosing.all(rows.files());
            case LEFT -> actions.edits().reorient(Reorient.LEFT);
            case RIGHT -> actions.edits().reorient(Reorient.RIGHT);
            default -> {
                return false;
            }
        }
        return true;
    }

    @Override
    public void dispose() {
        laying.forget();
        super.dispose();
        seen.dispose();
        panel.dispose();
        tools.dispose();
    }
}
