package nexa.desktop.series;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import nexa.core.format.Format;
import nexa.core.message.EnumName;
import nexa.core.series.CarryAcross;
import nexa.core.series.Crops;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Carry;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.desktop.find.FindPanel;
import nexa.desktop.find.FindWhat;
import nexa.desktop.parts.Choices;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Parts;
import nexa.desktop.parts.PhotoNames;
import nexa.desktop.parts.Words;
import nexa.desktop.picture.Thumb;
import nexa.desktop.session.ShootSession;
import nexa.imaging.work.LatestOnly;

/** Carries one photo's crop across others, and says before anything happens what will. */
public final class CarryPanel extends VBox {
    private static final int PICTURES = 10;
    private static final double HEIGHT = 54;
    private static final double WIDEST = 96;

    /** To whom it is carried. */
    private enum Whom {
        CHOSEN,
        LANE,
        BOTH,
        AFTER,
        NOT_DONE
    }

    /** What happened, and what would. */
    private record Preview(CarryAcross.Outcome outcome, List<PhotoCrop> crops, GivenAlong.Given given) {}

    private final ShootSession session;
    private final Photo lead;
    private final Format format;
    private final Runnable close;
    private final LatestOnly<Preview> previews;
    private final Map<Carry, ToggleButton> what = new EnumMap<>(Carry.class);
    private final ToggleButton angle;
    private final GivenAlong along;
    private final ToggleButton takesBack;
    private final Label words = Parts.label("", "carry-words");
    private final FlowPane pictures = new FlowPane(8, 8);
    private final Button findSubjects;
    private final Button carry;
    private final Choices<Whom> whom;

    /** Opens it for the photo worked on, if that can be worked on. */
    public static void open(ShootSession session, Overlays overlays) {
        session.photo()
                .filter(session::isReady)
                .ifPresent(photo -> overlays.show(new CarryPanel(session, photo, overlays)));
    }

    /** Whether there is a crop to carry, and another photo to carry it to. */
    public static boolean isOfUse(ShootSession session) {
        return session.crop()
                        .filter(crop -> crop.state() != PhotoCrop.State.UNTOUCHED)
                        .isPresent()
                && session.photos().stream()
                        .anyMatch(photo -> photo.mark() != Mark.OUT
                                && session.isReady(photo)
                                && !session.photoProperty().get().equals(Optional.of(photo.file())));
    }

    /** @param lead the photo whose crop is carried */
    private CarryPanel(ShootSession session, Photo lead, Overlays overlays) {
        this.session = session;
        this.previews = session.background().latest(this::show);
        this.lead = lead;
        this.format = session.format();
        this.close = overlays::close;
        getStyleClass().add("carry-panel");
        setSpacing(12);
        HBox heading = Parts.row(
                10,
                Parts.label(Words.get("carry.title"), "page-title"),
                from(lead.file(), format.name()),
                Parts.spacer(),
                Parts.closeButton(close));
        whom = new Choices<>("carry", others().isEmpty() ? Whom.BOTH : Whom.CHOSEN, chosen -> preview());
        whom.button(Whom.CHOSEN).setDisable(others().isEmpty());
        angle = choice("carry.angle", this::preview);
        along = new GivenAlong(lead, session.lenses(), this::preview);
        takesBack = choice("carry.back", this::preview);
        carry = Parts.button("carry.do", this::carry, "main-action");
        carry.setId("carry-do");
        findSubjects = Parts.button("carry.find", () -> findSubjects(overlays), "small-button");
        findSubjects.setId("carry-find");
        findSubjects.managedProperty().bind(findSubjects.visibleProperty());
        findSubjects.setVisible(false);
        words.setWrapText(true);
        words.setMaxWidth(600);
        words.setId("carry-words");
        pictures.setPrefWrapLength(600);
        pictures.setMinHeight(2 * HEIGHT + 8);
        HBox foot = Parts.row(12, takesBack, Parts.spacer(), carry);
        getChildren()
                .addAll(
                        heading,
                        row("carry.whom", whom.buttons()),
                        row("carry.what", whats()),
                        words,
                        findSubjects,
                        pictures,
                        foot);
        previewChanges();
        preview();
    }

    /** What is still being taken changes what would happen. */
    private void previewChanges() {
        ChangeListener<Shoot> changed = (observed, before, now) -> preview();
        session.shootProperty().addListener(changed);
        sceneProperty().addListener((observed, before, now) -> {
            if (now == null) {
                session.shootProperty().removeListener(changed);
            }
        });
    }

    private static Label from(String file, String format) {
        Label from = Parts.name("quiet");
        from.setText(Words.get("carry.from", PhotoNames.base(file), format));
        from.setTooltip(Parts.tooltip(file));
        return from;
    }

    private static HBox row(String key, List<? extends Node> parts) {
        Label label = Parts.label(Words.get(key), "quiet", "carry-label");
        HBox row = Parts.row(5, label);
        row.getChildren().addAll(parts);
        return row;
    }

    static ToggleButton choice(String key, Runnable action) {
        ToggleButton button = Parts.toggle(key, "choice");
        button.setId(key.replace('.', '-'));
        button.setOnAction(event -> action.run());
        return button;
    }

    private List<Node> whats() {
        List<Node> buttons = new ArrayList<>();
        for (Carry each : Carry.values()) {
            ToggleButton button = choice("carry." + EnumName.of(each), this::preview);
            button.setSelected(true);
            what.put(each, button);
            buttons.add(button);
        }
        buttons.add(angle);
        buttons.addAll(along.buttons());
        return buttons;
    }

    private List<String> others() {
        return session.chosenProperty().get().stream()
                .filter(file -> !file.equals(lead.file()))
                .toList();
    }

    private List<String> files() {
        List<Photo> photos = session.photos();
        Set<String> chosen = session.chosenProperty().get();
        int here = photos.indexOf(session.shoot().photo(lead.file()));
        List<String> files = new ArrayList<>();
        for (int i = 0; i < photos.size(); i++) {
            Photo photo = photos.get(i);
            boolean isMeant = session.isReady(photo)
                    && !photo.file().equals(lead.file())
                    && switch (whom.chosen()) {
                        case CHOSEN -> chosen.contains(photo.file());
                        case LANE -> photo.lane() == lead.lane() && photo.mark() != Mark.OUT;
                        case BOTH -> photo.mark() != Mark.OUT;
                        case AFTER -> i > here && photo.mark() != Mark.OUT;
                        case NOT_DONE -> !photo.entry(format.id()).isDone() && photo.mark() != Mark.OUT;
                    };
            if (isMeant) {
                files.add(photo.file());
            }
        }
        return files;
    }

    private CarryAcross carrying() {
        Set<Carry> parts = EnumSet.noneOf(Carry.class);
        what.forEach((part, button) -> {
            if (button.isSelected()) {
                parts.add(part);
            }
        });
        return new CarryAcross(lead.file(), format.id(), parts, angle.isSelected(), takesBack.isSelected());
    }

    /** Works out in the background what would happen. */
    private void preview() {
        Shoot base = session.shoot();
        List<String> files = files();
        CarryAcross carrying = carrying();
        Function<Shoot, GivenAlong.Given> giving = along.to(files);
        previews.ask(() -> {
            GivenAlong.Given given = giving.apply(base);
            CarryAcross.Outcome outcome = carrying.to(given.shoot(), files);
            Crops crops = new Crops(outcome.shoot());
            List<PhotoCrop> first = files.stream()
                    .map(file -> crops.of(
                            outcome.shoot().photo(file), outcome.shoot().format(format.id())))
                    .filter(crop -> crop.state() == PhotoCrop.State.FOLLOW)
                    .limit(PICTURES)
                    .toList();
            return new Preview(outcome, first, given);
        });
    }

    private void show(Preview preview) {
        CarryAcross.Outcome outcome = preview.outcome();
        List<String> parts = new ArrayList<>();
        parts.add(Words.get("carry.count", outcome.followers(), outcome.wide(), outcome.tall()));
        if (!outcome.limited().isEmpty()) {
            parts.add(Words.get("carry.limited", outcome.limited().size()));
        }
        if (!outcome.withoutSubject().isEmpty()) {
            parts.add(Words.get("carry.noSubject", outcome.withoutSubject().size()));
        }
        if (preview.given().withoutLens() > 0) {
            parts.add(Words.get("carry.noLens", preview.given().withoutLens()));
        }
        if (preview.given().leftAsTheyAre() > 0) {
            parts.add(Words.get("carry.nothingLeft", preview.given().leftAsTheyAre()));
        }
        findSubjects.setVisible(!outcome.withoutSubject().isEmpty());
        if (!outcome.left().isEmpty()) {
            parts.add(Words.get("carry.left", outcome.left().size()));
        }
        words.setText(String.join(" ", parts));
        carry.setDisable(outcome.followers() == 0 || what.values().stream().noneMatch(ToggleButton::isSelected));
        pictures.getChildren()
                .setAll(preview.crops().stream().map(this::picture).toList());
    }

    private Node picture(PhotoCrop crop) {
        Thumb thumb = new Thumb(session.pictures());
        thumb.show(crop, WIDEST, HEIGHT);
        Label name = Parts.name("small", crop.isLimited() ? "look" : "quiet");
        Parts.setName(name, crop.photo().file());
        name.setMaxWidth(thumb.getMaxWidth());
        return new VBox(1, thumb, name);
    }

    /** Finds subjects, and comes back once some are taken. */
    private void findSubjects(Overlays overlays) {
        close.run();
        FindPanel.open(
                session,
                overlays,
                FindWhat.SUBJECTS,
                FindPanel.Whom.EVERYTHING,
                () -> CarryPanel.open(session, overlays));
    }

    private void carry() {
        List<String> files = files();
        CarryAcross carrying = carrying();
        Function<Shoot, GivenAlong.Given> giving = along.to(files);
        close.run();
        session.editMany(
                Edit.Kind.CARRY,
                format.id(),
                shoot -> carrying.to(giving.apply(shoot).shoot(), files).shoot());
    }
}
