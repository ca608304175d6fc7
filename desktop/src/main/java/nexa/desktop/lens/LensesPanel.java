package nexa.desktop.lens;

import com.google.common.collect.Maps;
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
import nexa.desktop.session.LensesNow;
import nexa.desktop.session.ShootSession;
import nexa.imaging.work.LatestOnly;
import nexa.store.lens.ReadLenses;

/** Puts the lenses of many photos right where they are known, and says before how many that are, and which are not. */
public final class LensesPanel extends VBox {
    private static final double WIDTH = 600;
    private static final int NAMES = 12;

    /** Of whom. */
    private enum Whom {
        CHOSEN,
        EVERYTHING
    }

    /** Photos, and how the lenses of those are put right that are known. */
    private record Known(List<String> files, Map<String, Lens> lenses) {}

    private final ShootSession session;
    private final Runnable close;
    private final Choices<Whom> whom;
    private final LatestOnly<Known> looking;
    private final VBox known = new VBox(4);
    private final Label unknown = Parts.label("", "quiet");
    private final LensSource source = new LensSource();
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
        this.looking = session.background().latest(this::show);
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
        whom = new Choices<>("lenses", chosen.size() > 1 ? Whom.CHOSEN : Whom.EVERYTHING, now -> look());
        whom.button(Whom.CHOSEN).setDisable(chosen.isEmpty());
        HBox whomRow = Parts.row(5, Parts.label(Words.get("lenses.whom"), "quiet", "carry-label"));
        whomRow.getChildren().addAll(whom.buttons());
        known.setId("lenses-known");
        unknown.setId("lenses-unknown");
        unknown.setWrapText(true);
        unknown.setMaxWidth(WIDTH);
        put = Parts.button("lenses.do", this::put, "main-action");
        put.setId("lenses-do");
        source.setMaxWidth(WIDTH * 2 / 3);
        HBox foot = Parts.row(12, source, Parts.spacer(), put);
        getChildren().addAll(heading, whomRow, known, unknown, foot);
        ChangeListener<Optional<ReadLenses>> read = (observed, before, now) -> look();
        session.lenses().readProperty().addListener(read);
        sceneProperty().addListener((observed, before, now) -> {
            if (now == null) {
                looking.forget();
                session.lenses().readProperty().removeListener(read);
            }
        });
        tellWhatIsPut();
        look();
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

    /** Works out in the background which lenses are known. */
    private void look() {
        if (session.lenses().readProperty().get().isEmpty()) {
            known.getChildren().setAll(Parts.label(Words.get("lens.reading"), "quiet"));
            return;
        }
        List<String> files = files();
        LensesNow now = session.lenses().now();
        source.tell(now.told());
        looking.ask(() -> new Known(files, now.putRight(files)));
    }

    private void show(Known found) {
        lenses = found.lenses();
        Map<String, Integer> counts = new TreeMap<>();
        lenses.values().forEach(lens -> counts.merge(name(lens), 1, Integer::sum));
        known.getChildren()
                .setAll(counts.entrySet().stream()
                        .map(entry -> Parts.label(Words.get("lenses.known", entry.getKey(), entry.getValue())))
                        .toList());
        List<String> others =
                found.files().stream().filter(file -> !lenses.containsKey(file)).toList();
        unknown.setText(others.isEmpty() ? "" : Words.get("lenses.unknown", others.size(), names(others)));
        tellWhatIsPut();
    }

    private void tellWhatIsPut() {
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
        Map<String, Lens> given = lenses;
        close.run();
        session.editMany(
                Edit.Kind.LENS,
                session.formatProperty().get(),
                shoot -> LensChange.give(
                        shoot,
                        Maps.transformEntries(
                                given,
                                (file, lens) -> lens.withAmountsOf(shoot.find(file)
                                        .flatMap(photo -> photo.preparation().lens())))));
    }
}
