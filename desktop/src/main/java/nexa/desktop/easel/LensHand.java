package nexa.desktop.easel;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import nexa.core.geometry.Point;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensFit;
import nexa.core.lens.OwnProfile;
import nexa.core.lens.Taken;
import nexa.core.series.LensChange;
import nexa.core.shape.Edge;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.desktop.desk.ColourSection;
import nexa.desktop.desk.LensPage;
import nexa.desktop.lens.LensChooser;
import nexa.desktop.parts.Overlays;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Finding;
import nexa.desktop.session.LensesNow;
import nexa.desktop.session.ShootSession;
import nexa.imaging.work.Ticket;

/** What the desk asks for of the photo's lens, and of the edge that is wanted instead of what the lens made. */
final class LensHand implements LensPage.Actions, ColourSection.Actions {
    private final ShootSession session;
    private final StageHand hand;
    private final Overlays overlays;
    private final Consumer<String> messages;
    private Runnable byLines = () -> {};

    /** @param messages hears what the photographer is to be told */
    LensHand(ShootSession session, StageHand hand, Overlays overlays, Consumer<String> messages) {
        this.session = session;
        this.hand = hand;
        this.overlays = overlays;
        this.messages = messages;
    }

    private Optional<Photo> photo() {
        return session.photo().filter(session::isReady);
    }

    /** What is known of the lens that took a photo. */
    LensPage.Told told(Photo photo) {
        if (session.lenses().readProperty().get().isEmpty()) {
            return new LensPage.Told(Words.get("lens.reading"), false);
        }
        LensesNow lenses = session.lenses().now();
        if (!lenses.areAnyKnown()) {
            return new LensPage.Told(Words.get("lens.noData"), false);
        }
        String file = photo.file();
        Optional<KnownLens> known = lenses.of(file);
        if (known.isEmpty()) {
            Optional<String> said = lenses.taken(file).lens();
            return new LensPage.Told(
                    said.map(name -> Words.get("lens.notKnown.named", name))
                            .orElseGet(() -> Words.get("lens.notKnown")),
                    false);
        }
        String name = known.get().model();
        boolean isTold = lenses.putRight(known.get(), file).isPresent();
        return new LensPage.Told(isTold ? name : Words.get("lens.noFocal", name), isTold);
    }

    @Override
    public void putRight() {
        photo().flatMap(photo -> session.lenses().now().putRight(photo.file()))
                .ifPresent(lens -> edit(Optional.of(lens)));
    }

    @Override
    public void choose() {
        hand.letGoOfAll();
        photo().ifPresent(photo -> LensChooser.open(session.lenses().now(), photo.file(), overlays, chosen -> {
            Optional<Lens> lens = session.lenses().now().putRight(chosen, photo.file());
            if (lens.isEmpty()) {
                messages.accept(Words.get("lens.noFocal", chosen.model()));
            } else {
                edit(lens);
            }
        }));
    }

    /** Lines that should be straight are drawn by this. */
    void giveLines(Runnable draw) {
        byLines = draw;
    }

    @Override
    public void byLines() {
        hand.letGoOfAll();
        byLines.run();
    }

    @Override
    public void asShot() {
        edit(Optional.empty());
    }

    /** Amounts that were set before stay. */
    private void edit(Optional<Lens> lens) {
        hand.letGoOfAll();
        photo().ifPresent(photo -> {
            Optional<Lens> to =
                    lens.map(one -> one.withAmountsOf(photo.preparation().lens()));
            put(photo, to);
        });
    }

    private void put(Photo photo, Optional<Lens> lens) {
        if (LensChange.apply(photo, lens).isCroppable()) {
            session.edit(Edit.Kind.LENS, shoot -> shoot.with(photo.file(), one -> LensChange.apply(one, lens)));
        } else {
            messages.accept(Words.get("easel.nothingLeft"));
        }
    }

    /** In which units lines tell of a photo's lens, and what else is known of it. */
    private record Units(LensProfile profile, double cameraCrop) {}

    private Units units(Photo photo) {
        LensesNow lenses = session.lenses().now();
        Taken taken = lenses.taken(photo.file());
        Optional<KnownLens> known = lenses.own(photo).map(OwnProfile::lens);
        LensProfile profile = known.flatMap(lens -> lens.profile(taken))
                .orElseGet(() -> new LensProfile(
                        taken.lens().orElse(Words.get("lens.own")),
                        1,
                        LensProfile.aspectOf(photo.size()),
                        Optional.empty(),
                        Optional.empty(),
                        List.of()));
        return new Units(profile, lenses.cropFactor(photo.file()).orElse(profile.cropFactor()));
    }

    /** Finds lines, and of these those that may be straight in the scene, in the photo's pixels. */
    Ticket find(Photo photo, Finding.Listener<List<List<Point>>> listener) {
        Units units = units(photo);
        return session.finding()
                .bentLines(
                        photo,
                        found -> LensFit.agreeing(found, photo.size(), units.profile(), units.cameraCrop()),
                        listener);
    }

    /** Puts the lens right as lines tell that should be straight, in the photo's pixels; empty where they do not. */
    Optional<LensFit> straighten(List<List<Point>> lines) {
        Photo photo = photo().orElseThrow();
        Units units = units(photo);
        Optional<LensFit> fit = LensFit.of(lines, photo.size(), units.profile(), units.cameraCrop());
        fit.ifPresent(found -> {
            LensProfile profile = units.profile().withDistortion(found.distortion());
            Lens lens = Lens.of(profile, units.cameraCrop())
                    .withAmountsOf(photo.preparation().lens())
                    .withDistortion(1)
                    .withBulge(0);
            put(photo, Optional.of(lens));
        });
        return fit;
    }

    /** Keeps what lines told, for other photos of the same camera, lens and focal length. */
    void keep(LensFit fit) {
        photo().ifPresent(photo -> {
            LensesNow lenses = session.lenses().now();
            Optional<OwnProfile> own = lenses.own(photo);
            if (own.isEmpty()) {
                messages.accept(Words.get("lens.own.nameless"));
                return;
            }
            double focal = lenses.taken(photo.file()).focal().orElseThrow();
            OwnProfile profile = own.get().with(focal, fit.distortion());
            session.lenses()
                    .keep(
                            profile,
                            problem -> messages.accept(problem.map(Words::say)
                                    .orElseGet(() -> Words.get(
                                            "lens.own.kept", profile.lens().model(), Words.number(focal, 0)))));
        });
    }

    private static Lens now(Preparation preparation) {
        return preparation.lens().orElse(Lens.byHand(0));
    }

    @Override
    public void change(UnaryOperator<Lens> change, boolean isHeld) {
        hand.tools().tracing().clear();
        photo().ifPresent(photo -> {
            PhotoGestures gestures = hand.gestures().photo();
            Photo drafted = photo.withPreparation(gestures.preparation());
            Lens to = change.apply(now(gestures.preparation()));
            // By hand alone, no bulge is nothing.
            Optional<Lens> lens = Optional.of(to).filter(one -> one.profile().isPresent() || one.bulge() != 0);
            gestures.prepare(Edit.Kind.LENS, LensChange.apply(drafted, lens).preparation(), isHeld);
        });
    }

    @Override
    public void edge(UnaryOperator<Edge> change, boolean isHeld) {
        hand.tools().tracing().clear();
        PhotoGestures gestures = hand.gestures().photo();
        Preparation now = gestures.preparation();
        gestures.prepare(Edit.Kind.EDGE, now.withEdge(change.apply(now.edge())), isHeld);
    }

    @Override
    public void letGo() {
        hand.gestures().finish();
    }

    @Override
    public void edgeLetGo() {
        letGo();
    }

    @Override
    public void notANumber(String text) {
        messages.accept(Words.get("lens.notANumber", text));
    }

    @Override
    public void notAnEdge(String text) {
        messages.accept(Words.get("edge.notANumber", text));
    }
}
