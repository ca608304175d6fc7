package nexa.core.format;

import java.util.Map;
import nexa.core.geometry.Orientation;
import nexa.core.geometry.Require;
import nexa.core.geometry.Size;
import nexa.core.message.Rejected;

/**
 * One thing to be delivered.
 *
 * @param id short and lasting; names the format in the shoot document
 * @param name what the photographer calls it
 * @param leads the files of the lead photos, by the orientation of the photos they lead
 * @param going whether it is delivered with the rest
 * @param reaches whether its crops may reach beyond their photos, unless they say otherwise
 * @param asks what is asked of its crops
 */
public record Format(
        String id,
        String name,
        Ratio ratio,
        FormatTurn turn,
        OutputSize size,
        Map<Orientation, String> leads,
        Tolerance tolerance,
        Going going,
        FileSpec file,
        boolean reaches,
        Asks asks) {
    private static final double AGREES = 0.005;

    /** @throws Rejected if the id is empty or the size disagrees with the ratio by more than 0.5 % */
    public Format {
        if (id.isBlank()) {
            throw new Rejected("reject.emptyFormatId");
        }
        leads = Map.copyOf(leads);
        if (ratio.isFixed() && size.ratio().isPresent()) {
            double asked = Orientation.WIDE.turn(ratio.value());
            double off = Orientation.WIDE.turn(size.ratio().getAsDouble()) / asked - 1;
            if (Math.abs(off) > AGREES) {
                throw new Rejected("reject.sizeOffRatio", id, ratio, Math.round(Math.abs(off) * 1000) / 10.0);
            }
        }
    }

    /** A format with the plain defaults. */
    public static Format of(String id, String name, Ratio ratio) {
        return new Format(
                id,
                name,
                ratio,
                FormatTurn.PHOTO,
                new OutputSize.AsCropped(),
                Map.of(),
                Tolerance.USUAL,
                Going.GOES,
                FileSpec.usual(id),
                false,
                Asks.NONE);
    }

    public Format withName(String newName) {
        return new Format(id, newName, ratio, turn, size, leads, tolerance, going, file, reaches, asks);
    }

    /** The same format under another id. */
    public Format withId(String newId) {
        return new Format(newId, name, ratio, turn, size, leads, tolerance, going, file, reaches, asks);
    }

    /**
     * With another ratio and size, which have to agree.
     *
     * @throws IllegalArgumentException if they disagree by more than 0.5 %
     */
    public Format withShape(Ratio newRatio, OutputSize newSize) {
        return new Format(id, name, newRatio, turn, newSize, leads, tolerance, going, file, reaches, asks);
    }

    public Format withTolerance(Tolerance newTolerance) {
        return new Format(id, name, ratio, turn, size, leads, newTolerance, going, file, reaches, asks);
    }

    public Format withTurn(FormatTurn newTurn) {
        return new Format(id, name, ratio, newTurn, size, leads, tolerance, going, file, reaches, asks);
    }

    public Format withSize(OutputSize newSize) {
        return new Format(id, name, ratio, turn, newSize, leads, tolerance, going, file, reaches, asks);
    }

    public Format withLeads(Map<Orientation, String> newLeads) {
        return new Format(id, name, ratio, turn, size, newLeads, tolerance, going, file, reaches, asks);
    }

    /** Whether it is delivered with the rest. */
    public boolean goes() {
        return going == Going.GOES;
    }

    public Format withGoing(Going newGoing) {
        return new Format(id, name, ratio, turn, size, leads, tolerance, newGoing, file, reaches, asks);
    }

    public Format withFile(FileSpec newFile) {
        return new Format(id, name, ratio, turn, size, leads, tolerance, going, newFile, reaches, asks);
    }

    public Format withReaches(boolean nowReaches) {
        return new Format(id, name, ratio, turn, size, leads, tolerance, going, file, nowReaches, asks);
    }

    public Format withAsks(Asks newAsks) {
        return new Format(id, name, ratio, turn, size, leads, tolerance, going, file, reaches, newAsks);
    }

    /**
     * Whether the same files are ordered by both: whatever they are known by, whether they go just now, which photos lead, what is
     * out of step, and what is asked of their crops.
     */
    public boolean isSameOrderAs(Format other) {
        return other.withId(id)
                .withLeads(leads)
                .withTolerance(tolerance)
                .withGoing(going)
                .withAsks(asks)
                .equals(this);
    }

    /** Width over height of an untouched crop that lies the given way. In a free format that is the photo's own. */
    public double ratioFor(Size photo, Orientation lying) {
        return switch (ratio.kind()) {
            case FIXED -> lying.turn(ratio.value());
            case PHOTO -> lying.turn(photo.ratio());
            case FREE -> photo.ratio();
        };
    }

    /**
     * How far crops may be from their lead's before they are out of step.
     *
     * @param tightness as a share
     * @param position as a share of the crop
     */
    public record Tolerance(double tightness, double position) {
        public static final Tolerance USUAL = new Tolerance(0.08, 0.05);

        /** @throws IllegalArgumentException for shares of 0 or less and above 1 */
        public Tolerance {
            Require.within("toleranceOfTightness", Require.positive("toleranceOfTightness", tightness), 0, 1);
            Require.within("toleranceOfPosition", Require.positive("toleranceOfPosition", position), 0, 1);
        }
    }
}
