package nexa.imaging.deliver;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.format.Format;
import nexa.core.series.AskCheck;
import nexa.core.series.Crops;
import nexa.core.series.NeedsLook;
import nexa.core.series.PhotoCrop;
import nexa.core.shoot.Mark;
import nexa.core.shoot.Photo;
import nexa.core.shoot.Shoot;
import nexa.imaging.facts.ShootReading;
import nexa.imaging.raw.RawAvailability;

/** What to know of a delivery before it goes. None of it keeps it from going but a file that cannot be read. */
public final class DeliveryCheck {
    /** About what a delivery takes a pixel of its results, in bytes; a guess on the safe side for a JPEG. */
    private static final double BYTES_A_PIXEL = 0.9;

    /** What there is to know. */
    public enum Kind {
        UNREADABLE,
        /** What is done to the photo leaves nothing of it, so it is not delivered. */
        NOTHING_LEFT,
        TOO_FEW_PIXELS,
        FILL_SHOWS,
        /** The raw file's pixels are wanted, and the command that makes them is not installed: the camera's picture goes. */
        RAW_NO_COMMAND,
        /** The raw file's pixels are wanted, and some of its samples are missing: the camera's picture goes. */
        RAW_CUT_SHORT,
        /** The raw file's pixels are wanted, and it is not there: the camera's picture goes. */
        RAW_MISSING,
        /** The raw file's pixels are wanted, and are not those of the photo: its own go. */
        RAW_UNLIKE,
        /** Some of the photo's pixels are see-through: they come out white. */
        SEE_THROUGH,
        LIMITED,
        SUBJECT_CUT,
        NOT_AS_ASKED,
        ASK_NOT_KNOWN,
        OUT_OF_STEP,
        NOT_LOOKED_AT,
        UNTOUCHED,
        SAME_NAME,
        /** The name asked for is one that not every file system takes. */
        NAME_MENDED
    }

    /**
     * One thing to know.
     *
     * @param format the format's id, "" where it is the same in all
     * @param check what of it is not as asked or not known, if it is that
     */
    public record Finding(Kind kind, String file, String format, Optional<AskCheck> check) {
        /** Of anything but what is asked. */
        public Finding(Kind kind, String file, String format) {
            this(kind, file, format, Optional.empty());
        }
    }

    private DeliveryCheck() {}

    /** Everything to know of a plan, and of the photos that are missing from it because they cannot be read. */
    public static List<Finding> of(Shoot shoot, ShootReading reading, DeliveryPlan plan) {
        List<Finding> findings = new ArrayList<>();
        for (Photo photo : shoot.photos()) {
            if (photo.mark() != Mark.OUT && reading.hasProblem(photo)) {
                Kind kind = reading.leavesNothing(photo) ? Kind.NOTHING_LEFT : Kind.UNREADABLE;
                findings.add(new Finding(kind, photo.file(), ""));
            }
        }
        Crops crops = new Crops(shoot);
        Map<String, String> names = new HashMap<>();
        for (DeliveryPlan.Item item : plan.files()) {
            PhotoCrop crop = item.crop();
            Format format = shoot.format(item.format().id());
            for (NeedsLook look : NeedsLook.of(crops, crop)) {
                findings.add(new Finding(Kind.valueOf(look.name()), crop.photo().file(), format.id()));
            }
            asked(item).forEach(findings::add);
            raw(reading, item)
                    .ifPresent(
                            kind -> findings.add(new Finding(kind, crop.photo().file(), format.id())));
            if (reading.isSeeThrough(item.photo())) {
                findings.add(new Finding(Kind.SEE_THROUGH, crop.photo().file(), format.id()));
            }
            if (crop.state() == PhotoCrop.State.UNTOUCHED && !crop.isDone()) {
                findings.add(new Finding(Kind.UNTOUCHED, crop.photo().file(), format.id()));
            }
            if (names.put(
                            item.wishedName().toLowerCase(Locale.ROOT),
                            crop.photo().file())
                    != null) {
                findings.add(new Finding(Kind.SAME_NAME, crop.photo().file(), format.id()));
            }
            if (item.isNameMended()) {
                findings.add(new Finding(Kind.NAME_MENDED, crop.photo().file(), format.id()));
            }
        }
        return findings;
    }

    /** What is not as asked, and what of that is not known, each by itself. */
    private static Stream<Finding> asked(DeliveryPlan.Item item) {
        return item.asked().stream()
                .filter(check -> check.outcome() != AskCheck.Outcome.MET)
                .map(check -> new Finding(
                        check.outcome() == AskCheck.Outcome.MISSED ? Kind.NOT_AS_ASKED : Kind.ASK_NOT_KNOWN,
                        item.photo().file(),
                        item.format().id(),
                        Optional.of(check)));
    }

    private static Optional<Kind> raw(ShootReading reading, DeliveryPlan.Item item) {
        return reading.raw(item.photo())
                .filter(standing -> item.photo().wantsRaw(item.format()) && standing != RawAvailability.READY)
                .map(standing -> Kind.valueOf("RAW_" + standing.name()));
    }

    /** The files of a plan that have too few pixels for their paper, with the pixels an inch they give it. */
    public static DoubleSummaryStatistics ppiOfTooSmall(DeliveryPlan plan) {
        return plan.files().stream()
                .map(DeliveryPlan.Item::crop)
                .filter(crop -> crop.hasTooFewPixels() && crop.ppi().isPresent())
                .mapToDouble(crop -> crop.effectivePpi().getAsDouble())
                .summaryStatistics();
    }

    /** Of the crops that reach beyond their photos, the shares that are not photo. */
    public static DoubleSummaryStatistics sharesBeyond(DeliveryPlan plan) {
        return plan.files().stream()
                .mapToDouble(item -> item.crop().beyond())
                .filter(share -> share > 0)
                .summaryStatistics();
    }

    /** About how many bytes a plan's files will take together. */
    public static long likelyBytes(DeliveryPlan plan) {
        return (long) plan.files().stream()
                .mapToDouble(item -> BYTES_A_PIXEL
                        * item.crop().output().width()
                        * item.crop().output().height())
                .sum();
    }

    /** How many bytes there is room for where a destination is, or is going to be. */
    public static long room(Path destination) throws IOException {
        Path there = destination.toAbsolutePath();
        while (there.getParent() != null && !Files.exists(there)) {
            there = there.getParent();
        }
        return Files.getFileStore(there).getUsableSpace();
    }
}
