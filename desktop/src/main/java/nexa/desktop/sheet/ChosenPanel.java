package nexa.desktop.sheet;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.geometry.Angle;
import nexa.core.series.PhotoCrop;
import nexa.core.series.Reorient;
import nexa.core.shoot.Lane;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.session.ShootSession;
import nexa.desktop.shell.Parts;
import nexa.desktop.shell.PhotoNames;
import nexa.desktop.shell.Subscriptions;
import nexa.desktop.shell.Words;

/** What the chosen photos have in common, and what can be done with them. */
final class ChosenPanel {
    private final ShootSession session;
    private final Choosing choosing;
    private final ChosenActions actions;
    private final Label title = Parts.label("", "section-title");
    private final Label common = Parts.label("", "small", "quiet");
    private final TextField angle = new TextField();
    private final VBox node;
    private final Subscriptions subscriptions = new Subscriptions();

    ChosenPanel(ShootSession session, Choosing choosing, ChosenActions actions) {
        this.session = session;
        this.choosing = choosing;
        this.actions = actions;
        common.setWrapText(true);
        angle.setPrefColumnCount(5);
        angle.setId("chosen-angle");
        angle.getStyleClass().add("number-field");
        angle.setAccessibleText(Words.get("chosen.angle"));
        angle.setTooltip(Parts.tooltip(Words.get("chosen.angle.tip")));
        angle.setOnAction(event -> actions.level(angle.getText()));
        HBox marks = row(
                small("chosen.select", () -> actions.mark(Mark.SELECT)),
                small("chosen.out", () -> actions.mark(Mark.OUT)),
                small("chosen.done", actions::done));
        HBox level = row(Parts.label(Words.get("chosen.angle"), "small", "quiet"), angle, more());
        HBox across = row(Parts.button("step.carry", actions::carry, "main-action", "carry"));
        node = new VBox(7, title, common, marks, level, across);
        subscriptions.listen(session.chosenProperty(), this::refresh);
        subscriptions.listen(session.photoProperty(), this::refresh);
        subscriptions.listen(session.shootProperty(), this::refresh);
        subscriptions.listen(session.formatProperty(), this::refresh);
        refresh();
    }

    private static HBox row(Node... parts) {
        HBox row = new HBox(5, parts);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Button small(String key, Runnable action) {
        Button button = Parts.button(key, action, "small-button");
        button.setId(key.replace('.', '-'));
        return button;
    }

    private MenuButton more() {
        MenuButton menu = new MenuButton(Words.get("level.more"));
        menu.setId("chosen-more");
        menu.getStyleClass().addAll("flat", "small-button");
        menu.setAccessibleText(Words.get("chosen.more.tip"));
        menu.getItems().setAll(items());
        return menu;
    }

    /** What can be done with the chosen photos, for menus. */
    List<MenuItem> items() {
        List<MenuItem> items = new ArrayList<>();
        for (Reorient how : Reorient.values()) {
            items.add(Parts.item(Words.of("reorient", how), () -> actions.reorient(how)));
        }
        items.add(new SeparatorMenuItem());
        items.add(Parts.item(Words.get("step.letGo"), actions::letGo));
        items.add(Parts.item(Words.get("step.again"), () -> actions.followAgain(false)));
        items.add(Parts.item(Words.get("step.againTuned"), () -> actions.followAgain(true)));
        items.add(new SeparatorMenuItem());
        items.add(Parts.item(Words.get("menu.again"), actions::readAgain));
        items.add(Parts.item(Words.get("chosen.again"), actions::startAgain));
        items.add(Parts.item(Words.get("chosen.copyOut"), actions::copyOut));
        return items;
    }

    Node node() {
        return node;
    }

    private void refresh() {
        Set<String> files = choosing.files();
        node.setDisable(files.isEmpty());
        List<Photo> photos = files.stream()
                .flatMap(file -> session.shoot().find(file).stream())
                .toList();
        title.setText(
                photos.size() == 1 ? PhotoNames.base(photos.get(0).file()) : Words.get("chosen.title", photos.size()));
        Angle shared = shared(photos, Photo::angle);
        angle.setText(shared == null ? "" : Words.get("level.degrees", Words.number(shared.degrees(), 2)));
        common.setText(inCommon(photos));
    }

    /** A line each: how they lie, how far they lean, how much is kept of them, and what is said of them. */
    private String inCommon(List<Photo> photos) {
        List<Photo> ready = photos.stream().filter(session::isReady).toList();
        if (photos.size() < 2 || ready.isEmpty()) {
            return saidOf(photos);
        }
        List<PhotoCrop> crops = ready.stream()
                .map(photo -> session.crop(photo, session.format()))
                .toList();
        String lanes = Stream.of(Lane.values())
                .map(lane -> count(ready, lane))
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining(", "));
        DoubleSummaryStatistics leans =
                ready.stream().mapToDouble(photo -> photo.angle().degrees()).summaryStatistics();
        DoubleSummaryStatistics kept =
                crops.stream().mapToDouble(crop -> 100 * crop.kept()).summaryStatistics();
        return String.join(
                "\n", lanes, range("chosen.turned", leans, 1), range("chosen.kept", kept, 0), saidOf(photos));
    }

    private static String count(List<Photo> photos, Lane lane) {
        long count =
                photos.stream().filter(photo -> Lane.of(photo.size()) == lane).count();
        return count == 0 ? "" : Words.get("chosen.lane." + lane.name().toLowerCase(Locale.ROOT), count);
    }

    private static String range(String key, DoubleSummaryStatistics values, int decimals) {
        String least = Words.number(values.getMin(), decimals);
        String most = Words.number(values.getMax(), decimals);
        return least.equals(most) ? Words.get(key + ".all", least) : Words.get(key, least, most);
    }

    private String saidOf(List<Photo> photos) {
        List<String> said = new ArrayList<>();
        Mark mark = shared(photos, Photo::mark);
        said.add(mark == null ? Words.get("chosen.marks") : Words.of("mark", mark));
        boolean isReady = photos.stream().allMatch(session::isReady);
        if (isReady && !photos.isEmpty()) {
            Set<String> states = photos.stream()
                    .map(photo -> Words.of(
                            "state", session.crop(photo, session.format()).state()))
                    .collect(Collectors.toSet());
            said.add(states.size() == 1 ? states.iterator().next() : Words.get("chosen.states"));
        }
        return String.join(", ", said);
    }

    /** What all photos have, or {@code null} where they differ. */
    private static <T> T shared(List<Photo> photos, Function<Photo, T> what) {
        Set<T> values = photos.stream().map(what).collect(Collectors.toSet());
        return values.size() == 1 ? values.iterator().next() : null;
    }

    void dispose() {
        subscriptions.dispose();
    }
}
