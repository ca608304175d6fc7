package nexa.desktop.tool.lens;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import nexa.core.geometry.Point;
import nexa.core.lens.KnownLens;
import nexa.core.lens.LensFit;
import nexa.core.lens.OwnProfile;
import nexa.core.lens.Taken;
import nexa.core.series.LensChange;
import nexa.core.shape.Lens;
import nexa.core.shape.LensProfile;
import nexa.core.shoot.Edit;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Preparation;
import nexa.desktop.lens.LensChooser;
import nexa.desktop.parts.Words;
import nexa.desktop.session.Finding;
import nexa.desktop.session.LensesNow;
import nexa.desktop.session.ShootSession;
import nexa.desktop.tool.Easel;
import nexa.desktop.tool.PhotoGestures;
import nexa.imaging.work.Ticket;

/** What the desk asks for of the photo's lens. */
final class LensHand {
    private final ShootSession session;
    private final Easel easel;

    LensHand(Easel easel) {
        this.easel = easel;
        this.session = easel.session();
    }

    /**
     * What is known of the lens that took the photo.
     *
     * @param words its name, or why there is none
     * @param isKnown whether it can be put right
     */
    record Told(String words, boolean isKnown) {}

    /** What is known of the lens that took a photo. */
    Told told(Photo photo) {
        if (session.lenses().readProperty().get().isEmpty()) {
            return new Told(Words.get("lens.reading"), false);
        }
        LensesNow lenses = session.lenses().now();
        if (!lenses.areAnyKnown()) {
            return new Told(Words.get("lens.noData"), false);
        }
        String file = photo.file();
        Optional<KnownLens> known = lenses.of(file);
        if (known.isEmpty()) {
            Optional<String> said = lenses.taken(file).lens();
            return new Told(
                    said.map(name -> Words.get("lens.notKnown.named", name))
                            .orElseGet(() -> Words.get("lens.notKnown")),
                    false);
        }
        String name = known.get().model();
        boolean isTold = lenses.putRight(known.get(), file).isPresent();
        return new Told(isTold ? name : Words.get("lens.noFocal", name), isTold);
    }

    /** Puts the lens that took the photo right. */
    void putRight() {
        easel.photo()
                .flatMap(photo -> session.lenses().now().putRight(photo.file()))
                .ifPresent(lens -> edit(Optional.of(lens)));
    }

    /** Chooses a lens from all that are known. */
    void choose() {
        easel.letGo();
        easel.photo()
                .ifPresent(photo -> LensChooser.open(session.lenses().now(), photo.file(), easel.overlays(), chosen -> {
                    Optional<Lens> lens = session.lenses().now().putRight(chosen, photo.file());
                    if (lens.isEmpty()) {
                        easel.tell(Words.get("lens.noFocal", chosen.model()));
                    } else {
                        edit(lens);
                    }
                }));
    }

    /** The lens, as shot. */
    void asShot() {
        edit(Optional.empty());
    }

    /** Amounts that were set before stay. */
    private void edit(Optional<Lens> lens) {
        easel.letGo();
        easel.photo().ifPresent(photo -> {
            Optional<Lens> to =
                    lens.map(one -> one.withAmountsOf(photo.preparation().lens()));
            put(photo, to);
        });
    }

    private void put(Photo photo, Optional<Lens> lens) {
        if (LensChange.apply(photo, lens).isCroppable()) {
            session.edit(Edit.Kind.LENS, shoot -> shoot.with(photo.file(), one -> LensChange.apply(one, lens)));
        } else {
            easel.tell(Words.get("easel.nothingLeft"));
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
        Photo photo = easel.photo().orElseThrow();
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
        easel.photo().ifPresent(photo -> {
            LensesNow lenses = session.lenses().now();
            Optional<OwnProfile> own = lenses.own(photo);
            if (own.isEmpty()) {
                easel.tell(Words.get("lens.own.nameless"));
                return;
            }
            double focal = lenses.taken(photo.file()).focal().orElseThrow();
            OwnProfile profile = own.get().with(focal, fit.distortion());
            session.lenses()
                    .keep(
                            profile,
                            problem -> easel.tell(problem.map(Words::say)
                                    .orElseGet(() -> Words.get(
                                            "lens.own.kept", profile.lens().model(), Words.number(focal, 0)))));
        });
    }

    private static Lens now(Preparation preparation) {
        return preparation.lens().orElse(Lens.byHand(0));
    }

    /**
     * Something of it is set by hand.
     *
     * @param isHeld whether the hand is still at it
     */
    void change(UnaryOperator<Lens> change, boolean isHeld) {
        easel.tracing().clear();
        easel.photo().ifPresent(photo -> {
            PhotoGestures gestures = easel.gestures().photo();
            Photo drafted = photo.withPreparation(gestures.preparation());
            Lens to = change.apply(now(gestures.preparation()));
            // By hand alone, no bulge is nothing.
            Optional<Lens> lens = Optional.of(to).filter(one -> one.profile().isPresent() || one.bulge() != 0);
            gestures.prepare(Edit.Kind.LENS, LensChange.apply(drafted, lens).preparation(), isHeld);
        });
    }

    /** The hand lets go. */
    void letGo() {
        easel.gestures().letGo();
    }

    void notANumber(String text) {
        easel.tell(Words.get("lens.notANumber", text));
    }
}
