package nexa.desktop.lens;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.lens.LensBook;
import nexa.core.series.LensChange;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.desktop.parts.Choices;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Words;
import nexa.desktop.session.ShootSession;

/** Puts the lenses of many photos right where they are known, and says before how many that are, and which are not. */
public final class LensesPanel extends VBox {
    private static final double WIDTH = 600;
    private static final int NAMES = 12;

    /** Of whom. */
    private enum Whom {
        CHOSEN,
        EVERYTHING
    }

    private final ShootSession session;
    private final Runnable close;
    private final Choices<Whom> whom;
    private final VBox known = new VBox(4);
    private final Label unknown = Parts.label("", "quiet");
    private final Button put;
    private Map<String, Lens> lenses = Map.of();

    /** Opens it for the chosen photos where there are several, else for all. */
    public static void open(ShootSession session, Overlays overlays) {
        if (!session.photos().isEmpty()) {
            overlays.show(new LensesPanel(session, overlays::close));
        }
    }

    private LensesPanel(ShootSession session, Runnable close) {
        this.session = session;
        this.close = close;
        getStyleClass().add("carry-panel");
        setSpacing(12);
        HBox heading = new HBox(
                10,
                Parts.label(Words.get("lenses.title"), "page-title"),
                Parts.label(Words.get("lenses.lead"), "quiet"),
                Parts.spacer(),
                Parts.closeButton(close));
        heading.setAlignment(Pos.BASELINE_LEFT);
        Set<String> chosen = session.chosenProperty().get();
        whom = new Choices<>("lenses", chosen.size() > 1 ? Whom.CHOSEN : Whom.EVERYTHING, now -> show());
        whom.button(Whom.CHOSEN).setDisable(chosen.isEmpty());
        HBox whomRow = new HBox(5, Parts.label(Words.get("lenses.whom"), "quiet", "carry-label"));
        whomRow.getChildren().addAll(whom.buttons());
        whomRow.setAlignment(Pos.CENTER_LEFT);
        known.setId("lenses-known");
        unknown.setId("lenses-unknown");
        unknown.setWrapText(true);
        unknown.setMaxWidth(WIDTH);
        put = Parts.button("lenses.do", this::put, "main-action");
        put.setId("lenses-do");
        HBox foot = new HBox(12, Parts.label(Words.get("lens.source"), "small", "quiet"), Parts.spacer(), put);
        foot.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(heading, whomRow, known, unknown, foot);
        ChangeListener<Optional<LensBook>> read = (observed, before, now) -> show();
        session.lenses().bookProperty().addListener(read);
        sceneProperty().addListener((observed, before, now) -> {
            if (now == null) {
                session.lenses().bookProperty().removeListener(read);
            }
        });
        show();
    }

    private List<String> files() {
        Set<String> chosen = session.chosenProperty().get();
        return session.photos().stream()
                .filter(session::isReady)
                .filter(photo ->
                        whom.chosen() == Whom.CHOSEN ? chosen.contains(photo.file()) : photo.mark() != Mark.OUT)
                .map(Photo::file)
                .toList();
    }

    private void show() {
        if (session.lenses().bookProperty().get().isEmpty()) {
            known.getChildren().setAll(Parts.label(Words.get("lens.reading"), "quiet"));
            put.setDisable(true);
            return;
        }
        List<String> files = files();
        lenses = session.lenses().putRight(files);
        Map<String, Integer> counts = new TreeMap<>();
        lenses.values().forEach(lens -> counts.merge(name(lens), 1, Integer::sum));
        known.getChildren()
                .setAll(counts.entrySet().stream()
                        .map(entry -> Parts.label(Words.get("lenses.known", entry.getKey(), entry.getValue())))
                        .toList());
        List<String> others =
                files.stream().filter(file -> !lenses.containsKey(file)).toList();
        unknown.setText(others.isEmpty() ? "" : Words.get("lenses.unknown", others.size(), names(others)));
        put.setText(Words.get("lenses.do", lenses.size()));
        put.setDisable(lenses.isEmpty() || session.isReadOnly());
    }

    private static String name(Lens lens) {
        return lens.profile().map(LensProfile::name).orElse("");
    }

    private static String names(List<String> files) {
        String first = files.stream().limit(NAMES).map(PhotoNames::base).collect(Collectors.joining(", "));
        return files.size() > NAMES ? Words.get("lenses.more", first, files.size() - NAMES) : first;
    }

    /** Amounts that were set before stay. */
    private void put() {
        Map<String, Lens> given = new LinkedHashMap<>();
        lenses.forEach((file, lens) -> given.put(
                file,
                session.shoot()
                        .photo(file)
                        .preparation()
                        .lens()
                        .map(before -> before.withProfileOf(lens))
                        .orElse(lens)));
        close.run();
        session.editMany(Edit.Kind.LENS, session.formatProperty().get(), shoot -> LensChange.give(shoot, given));
    }
}
