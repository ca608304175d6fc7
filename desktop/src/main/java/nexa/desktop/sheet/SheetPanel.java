package nexa.desktop.sheet;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.core.series.Crops;
import nexa.core.series.Look;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.PhotoNames;
import nexa.desktop.shell.Subscriptions;
import nexa.desktop.shell.Words;
import nexa.imaging.read.PhotoProblem;

/** At the right of the sheet: how far each format is, and what needs a look. */
final class SheetPanel {
    private static final int MOST_LISTED = 40;

    private final ShootSession session;
    private final AtomicLong asked = new AtomicLong();
    private final Runnable openEasel;
    private final VBox content = new VBox(8);
    private final ScrollPane node = new ScrollPane(content);
    private final GridPane progress = new GridPane();
    private final VBox looks = new VBox(6);
    private final Label looksTitle = Parts.label(Words.get("panel.looks"), "section-title");
    private final Subscriptions subscriptions = new Subscriptions();

    SheetPanel(ShootSession session, Node chosen, Runnable openEasel, Consumer<Path> openFolder) {
        this.session = session;
        this.openEasel = openEasel;
        node.getStyleClass().add("side-panel");
        node.setFitToWidth(true);
        node.setFocusTraversable(false);
        progress.setHgap(10);
        progress.setVgap(9);
        ColumnConstraints names = new ColumnConstraints(80, 104, 104);
        ColumnConstraints bars = new ColumnConstraints();
        bars.setHgrow(Priority.ALWAYS);
        progress.getColumnConstraints().addAll(names, bars, new ColumnConstraints(22));
        looksTitle.getStyleClass().add("panel-gap");
        content.getStyleClass().add("side-content");
        content.getChildren().addAll(Parts.label(Words.get("panel.progress"), "section-title"), progress);
        chosen.getStyleClass().add("panel-gap");
        content.getChildren().addAll(chosen, looksTitle, looks);
        offerFolders(openFolder);
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.readingProperty(), this::refresh);
        subscriptions.listen(session.formatProperty(), this::refresh);
        refresh();
    }

    Node node() {
        return node;
    }

    /** Folders in this one are offered, not swallowed: they may be shoots of their own. */
    private void offerFolders(Consumer<Path> openFolder) {
        List<Path> folders = session.foldersBelow();
        if (folders.isEmpty()) {
            return;
        }
        VBox list = new VBox(2);
        for (Path folder : folders) {
            Button button = new Button(folder.getFileName().toString());
            button.getStyleClass().addAll("flat", "look-entry");
            button.setMaxWidth(Double.MAX_VALUE);
            button.setAlignment(Pos.TOP_LEFT);
            Parts.explain(button, Words.get("panel.folder.tip", folder.toString()));
            button.setOnAction(event -> openFolder.accept(folder));
            list.getChildren().add(button);
        }
        content.getChildren().addAll(Parts.label(Words.get("panel.folders"), "section-title", "panel-gap"), list);
    }

    private void refresh() {
        List<Photo> ready = session.photos().stream().filter(session::isReady).toList();
        progress.getChildren().clear();
        int row = 0;
        for (Format format : session.shoot().formats()) {
            long done = ready.stream()
                    .filter(photo -> photo.entry(format.id()).isDone())
                    .count();
            Label name = Parts.label(format.name());
            name.setWrapText(true);
            ProgressBar bar = new ProgressBar(ready.isEmpty() ? 0 : (double) done / ready.size());
            bar.setMaxWidth(Double.MAX_VALUE);
            bar.setAccessibleText(Words.get("panel.done", format.name(), done, ready.size()));
            Label count = Parts.label(String.valueOf(done), "number");
            progress.addRow(row++, name, bar, count);
        }
        showLooks();
    }

    /** What needs a look is found in the background: a large shoot is many crops. */
    private void showLooks() {
        long number = asked.incrementAndGet();
        Shoot shoot = session.shoot();
        List<Photo> photos = session.photos();
        Format format = session.format();
        Map<String, PhotoProblem> problems = session.readingProperty().get().problems();
        CompletableFuture.supplyAsync(() -> found(shoot, photos, format, problems))
                .thenAccept(found -> Platform.runLater(() -> {
                    if (number == asked.get()) {
                        show(found);
                    }
                }));
    }

    /** One photo that needs a look, and why in words. */
    private record Found(String file, String why, boolean isBroken) {}

    private static List<Found> found(
            Shoot shoot, List<Photo> photos, Format format, Map<String, PhotoProblem> problems) {
        Crops crops = new Crops(shoot);
        List<Found> found = new ArrayList<>();
        for (Photo photo : photos) {
            PhotoProblem problem = problems.get(photo.file());
            if (problem != null) {
                found.add(0, new Found(photo.file(), problem.getMessage(), true));
            } else if (photo.pixels().isPresent() && photo.mark() != Mark.OUT) {
                Set<Look> looks = Look.of(crops, crops.of(photo, format));
                String why = looks.stream().map(look -> Words.of("look", look)).collect(Collectors.joining(", "));
                if (!looks.isEmpty()) {
                    found.add(new Found(photo.file(), PhotoNames.base(photo.file()) + "  " + why, false));
                }
            }
        }
        return found;
    }

    private void show(List<Found> found) {
        looks.getChildren()
                .setAll(found.stream().limit(MOST_LISTED).map(this::look).toList());
        if (found.size() > MOST_LISTED) {
            looks.getChildren().add(Parts.label(Words.get("panel.more", found.size() - MOST_LISTED), "small", "quiet"));
        }
        looksTitle.setText(Words.get("panel.looks.count", found.size()));
        looksTitle.setVisible(!found.isEmpty());
    }

    private Button look(Found found) {
        Button button = new Button(found.why());
        button.getStyleClass().addAll("flat", "look-entry", found.isBroken() ? "broken" : "look");
        button.setGraphic(found.isBroken() ? Parts.square() : Parts.triangle());
        button.setWrapText(true);
        button.setAlignment(Pos.TOP_LEFT);
        button.setMaxWidth(Double.MAX_VALUE);
        Parts.explain(button, Words.get("panel.look.tip"));
        button.setOnAction(event -> {
            session.goTo(Optional.of(found.file()));
            openEasel.run();
        });
        return button;
    }

    void dispose() {
        subscriptions.dispose();
    }
}
